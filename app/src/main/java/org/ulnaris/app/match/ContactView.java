package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.FacePairDrawer;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.measure.Figures;

/**
 * An end with a contact.
 *
 * @param onStud whether it lands on a stud as a lug does
 * @param faces both faces of a connector; null of what does not mate
 * @param facesNote what to see in them
 * @param mistakes what goes wrong with this family, in words
 */
public record ContactView(
        String code,
        boolean byHand,
        boolean mates,
        boolean onStud,
        List<Choice> rows,
        @Nullable Drawing faces,
        String facesNote,
        List<String> mistakes) {
    private static final int SHOWN = 12;

    static ContactView of(EndPlan plan, MatchedContact matched, MatchService.Kept kept, EndView.Shown shown) {
        Words words = shown.words();
        Family family = matched.contact().family();
        ContactChoice choice = kept.details().contact();
        List<String> mistakes = new ArrayList<>();
        for (int i = 1; ; i++) {
            Optional<String> mistake = words.find("mistake." + family + "." + i);
            if (mistake.isEmpty()) {
                break;
            }
            mistakes.add(mistake.get());
        }
        return new ContactView(
                matched.code(),
                choice != null && choice.contactCode() != null,
                family.mates(),
                family.landed(),
                plan.contacts().stream()
                        .limit(SHOWN)
                        .map(fit -> row(plan, fit, matched, shown))
                        .toList(),
                family.mates() ? faces(family, shown) : null,
                words.of(family == Family.PV ? "face.PV.note" : "face.note"),
                mistakes);
    }

    private static Drawing faces(Family family, EndView.Shown shown) {
        String kind = family == Family.PV ? "face.PV." : "face.";
        return FacePairDrawer.pair(
                family,
                shown.facing(),
                new FacePairDrawer.Captions(
                        shown.words().of(kind + "mating"),
                        shown.words().of(kind + "wire"),
                        shown.words().of(kind + "label")));
    }

    private static Choice row(EndPlan plan, ContactFit fit, MatchedContact inUse, EndView.Shown shown) {
        Contact contact = fit.contact();
        String range = shown.words()
                .of(
                        "contact.range",
                        Figures.significant(contact.wire().fromMm2(), 3),
                        Figures.significant(contact.wire().toMm2(), 3));
        String rated = contact.wire().ratedA().isPresent()
                ? shown.words()
                        .of(
                                "contact.rated",
                                shown.fmt().current(contact.wire().ratedA().getAsDouble()))
                : "";
        return new Choice(
                contact.code(),
                range + rated + EndChoices.handy(plan, contact.code(), contact.tube(), shown.words()),
                fit.verdict(),
                contact.code().equals(inUse.code()));
    }
}
