package org.ulnaris.core.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** How a line can go on. */
public final class Offers {
    private static final int MOST = 5;

    private Offers() {}

    /**
     * A way to go on.
     *
     * @param shown what is added
     * @param line the line with it
     */
    public record Offer(String shown, String line) {}

    /** Ways to go on with {@code line}, the most needed first. */
    public static List<Offer> of(Line line) {
        List<Offer> offers = new ArrayList<>();
        Word last =
                line.words().isEmpty() ? null : line.words().get(line.words().size() - 1);
        if (last != null && last.doubt() == Word.Doubt.UNIT_MISSING) {
            for (String unit : List.of("A", "W", "m", "V", "%")) {
                offers.add(new Offer(last.text() + " " + unit, upTo(line, last) + last.text() + " " + unit));
            }
            return offers;
        }
        if (last != null
                && last.doubt() == Word.Doubt.UNKNOWN
                && last.from() + last.text().length() == line.text().length()) {
            String begun = last.text().toLowerCase(Locale.ROOT);
            Stream.of(LoadWord.values())
                    .flatMap(kind -> kind.words().stream())
                    .filter(word -> word.startsWith(begun))
                    .limit(MOST)
                    .forEach(word -> offers.add(new Offer(word, upTo(line, last) + word)));
            return offers;
        }
        for (String next : next(line.said())) {
            offers.add(new Offer(next, line.text().isEmpty() ? next : line.text() + " " + next));
        }
        return offers.subList(0, Math.min(MOST, offers.size()));
    }

    private static String upTo(Line line, Word word) {
        return line.text().substring(0, word.from());
    }

    private static List<String> next(Said said) {
        List<String> next = new ArrayList<>();
        if (!said.flows() && said.size().isEmpty()) {
            next.addAll(List.of("100 A", "2 kW"));
        }
        if (said.flows() && said.figure(Meaning.LENGTH).isEmpty()) {
            next.addAll(List.of("1 m", "2 m", "5 m"));
        }
        if (said.flows() && said.figure(Meaning.VOLTAGE).isEmpty()) {
            next.addAll(List.of("12 V", "24 V", "48 V"));
        }
        if (said.sizable() && said.mayRest()) {
            next.add(said.load().orElseThrow().exampleSpell());
        }
        if (said.studs().isEmpty() && (said.sizable() || said.endOnly())) {
            next.addAll(List.of("on M8", "on M10"));
        }
        if (said.sizable() && said.figure(Meaning.DROP).isEmpty()) {
            next.addAll(List.of("2 %", "10 %"));
        }
        if (said.figure(Meaning.POWER).isPresent() && said.load().isEmpty()) {
            next.add("inverter");
        }
        return next;
    }
}
