package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.ribbon.EndWords;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.Handiness;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;

/** Lugs and dies that a person may choose, with what there is to know of each. */
public final class EndChoices {
    private static final int LUGS_SHOWN = 8;
    private static final double SAME_MM = 0.25;
    private static final double SAME_FILL = 0.015;

    private EndChoices() {}

    /** The lugs, best first: of the first why it is proposed, of the others in what they differ from it. */
    static List<Choice> lugRows(EndPlan plan, @Nullable String inUse, EndView.Shown shown) {
        List<LugFit> fits = plan.lugs();
        return fits.stream()
                .limit(LUGS_SHOWN)
                .map(fit -> new Choice(
                        fit.lug().code(),
                        fit == fits.get(0) ? why(plan, fit, shown.words()) : differs(plan, fits.get(0), fit, shown),
                        fit.verdict(),
                        fit.lug().code().equals(inUse)))
                .toList();
    }

    /** In what {@code fit} differs from the best: its hole, bore, width and form, and whether it is at hand. */
    private static String differs(EndPlan plan, LugFit best, LugFit fit, EndView.Shown shown) {
        Words words = shown.words();
        List<String> said = new ArrayList<>();
        if (Math.abs(fit.lug().pad().holeMm() - best.lug().pad().holeMm()) > SAME_MM) {
            said.add(words.of(
                    "lug.differs.hole", shown.fmt().small(fit.lug().pad().holeMm())));
            if (fit.contactLossPercent() > best.contactLossPercent() + 1) {
                said.add(words.of("lug.larger", Figures.fixed(fit.contactLossPercent(), 0)));
            }
        }
        if (Math.abs(fit.boreFill() - best.boreFill()) > SAME_FILL) {
            said.add(words.of("lug.differs.fill", Figures.fixed(fit.boreFill(), 2), Figures.fixed(best.boreFill(), 2)));
        }
        double wider = fit.lug().pad().widthMm() - best.lug().pad().widthMm();
        if (Math.abs(wider) > SAME_MM) {
            said.add(words.of(
                    wider > 0 ? "lug.differs.wider" : "lug.differs.narrower",
                    shown.fmt().small(Math.abs(wider))));
        }
        List<String> forms = form(fit.lug());
        form(best.lug()).stream()
                .filter(form -> !forms.contains(form))
                .forEach(form -> said.add(words.of("lug.differs.not", words.of("lug.form." + form))));
        forms.stream().map(form -> words.of("lug.form." + form)).forEach(said::add);
        String differs = said.isEmpty() ? words.of("lug.differs.nothing") : String.join(", ", said);
        return differs + handy(plan, fit.lug().code(), Optional.of(fit.lug().barrel()), words);
    }

    /** What is at hand of a part: how many lie on the shelf, whether the crib can press it. */
    static String handy(EndPlan plan, String code, Optional<Barrel> tube, Words words) {
        Handiness handy = plan.handy();
        String count = EndWords.onShelf(handy, code, words);
        String shelf = count.isEmpty() ? "" : ", " + count;
        boolean unpressed = !plan.dies().isEmpty() && tube.isPresent() && !handy.pressed(tube.get());
        return unpressed ? shelf + ", " + words.of("handy.nodies") : shelf;
    }

    private static String why(EndPlan plan, LugFit fit, Words words) {
        String hole = fit.exactHole()
                ? words.of("lug.exact")
                : words.of("lug.larger", Figures.fixed(fit.contactLossPercent(), 0));
        return words.of("lug.why", Figures.fixed(fit.boreFill(), 2), hole)
                + form(fit.lug()).stream()
                        .map(form -> ", " + words.of("lug.form." + form))
                        .collect(Collectors.joining())
                + handy(plan, fit.lug().code(), Optional.of(fit.lug().barrel()), words);
    }

    /** What sets the lug off from a plain one: keys of its words. */
    private static List<String> form(Lug lug) {
        LugForm form = lug.form();
        List<String> said = new ArrayList<>();
        if (form.angleDeg() != 0) {
            said.add("angle." + form.angleDeg());
        }
        if (lug.pitchMm() > 0) {
            said.add("holes");
        }
        if (lug.narrowTongue()) {
            said.add("narrow");
        }
        if (form.conductors() > 1) {
            said.add("twin");
        }
        if (lug.bimetal()) {
            said.add("bimetal");
        } else if (lug.barrel().material() == LugMaterial.ALUMINIUM) {
            said.add("aluminium");
        } else if (!form.body().tinned()) {
            said.add("bare");
        }
        if (form.body().window()) {
            said.add("window");
        }
        if (form.body().bellMouth()) {
            said.add("bell");
        }
        return said;
    }

    /** Every die with what it would do, by the tube that it presses or, without one, by its shape. */
    static List<Choice> dieRows(EndPlan plan, @Nullable Crimp crimp, EndView.Shown shown) {
        if (plan.shapes().isEmpty()) {
            return plan.dies().stream()
                    .map(option -> dieRow(option, crimp, shown.fmt(), shown.words()))
                    .toList();
        }
        MatchedContact contact = Objects.requireNonNull(plan.contact());
        return shapeRows(plan, contact.die(), shown.fmt(), shown.words());
    }

    private static Choice dieRow(Crimp option, @Nullable Crimp inUse, Fmt fmt, Words words) {
        return new Choice(
                option.die().tag(),
                words.of(
                        "die.told",
                        fmt.small(option.die().acrossFlatsMm()),
                        Figures.fixed(option.compaction(), 2) + " " + words.name(option.band())),
                DieChooser.dieVerdict(option),
                inUse != null && option.die().equals(inUse.die()));
    }

    /** Dies for a contact without a tube, by their shape only. */
    private static List<Choice> shapeRows(EndPlan plan, @Nullable Die inUse, Fmt fmt, Words words) {
        MatchedContact contact = Objects.requireNonNull(plan.contact());
        return plan.shapes().stream()
                .map(die -> new Choice(
                        die.tag(),
                        words.of("die.told", fmt.small(die.acrossFlatsMm()), words.name(die.shape())),
                        die.shape() == contact.contact().family().dies() ? Verdict.PASS : Verdict.STOP,
                        die.equals(inUse)))
                .toList();
    }
}
