package org.ulnaris.app.make;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingGroup;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.worked.WorkedCable;

/**
 * What the bench says before an end goes onto its stud.
 *
 * @param sentence its place in the job's order, and what comes before it
 * @param live whether the lug is live when it touches
 * @param sure what somebody has to see to before a live lug
 */
record LandingNotice(String sentence, boolean live, String sure) {
    /** Nothing of an end that is not in the picture: its place in the order is not known. */
    static @Nullable LandingNotice of(LandingOrder order, WorkedCable cable, BuildStep step, Words words) {
        LandingEnd end = order.at(cable.tag(), Objects.requireNonNull(step.side(), "a step of an end"));
        if (end.group() == LandingGroup.LOOSE) {
            return null;
        }
        List<LandingEnd> before = order.before(end);
        StringBuilder sentence = new StringBuilder(
                words.of("landing.notice", end.number(), order.ends().size()));
        if (!before.isEmpty()) {
            LandingEnd next = before.get(0);
            sentence.append(' ')
                    .append(words.of(
                            "landing.notice.before", before.size(), next.number(), next.cable(), next.point()));
        }
        if (end.group().live()) {
            sentence.append(' ').append(words.of("landing.notice.live"));
        }
        return new LandingNotice(sentence.toString(), end.group().live(), sure(order, words));
    }

    private static String sure(LandingOrder order, Words words) {
        String dead = dead(order, words);
        return order.panels().isEmpty()
                ? dead
                : dead + ' ' + words.of("landing.panels-covered", String.join(", ", order.panels()));
    }

    private static String dead(LandingOrder order, Words words) {
        String mains = String.join(", ", order.mains());
        String chargers = String.join(", ", order.chargers());
        if (mains.isEmpty()) {
            return chargers.isEmpty() ? words.of("landing.sure.nothing") : words.of("landing.sure.chargers", chargers);
        }
        return chargers.isEmpty() ? words.of("landing.sure.mains", mains) : words.of("landing.sure", mains, chargers);
    }
}
