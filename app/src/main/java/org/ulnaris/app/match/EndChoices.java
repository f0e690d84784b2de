package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
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

    private EndChoices() {}

    /** A lug to choose. */
    public record LugRow(String code, Verdict verdict, String why, boolean inUse) {}

    /** A die to choose. */
    public record DieRow(
            String tag, String flats, String compaction, Verdict verdict, String band, String count, boolean inUse) {}

    static List<LugRow> lugRows(EndPlan plan, @Nullable String inUse, Words words) {
        return plan.lugs().stream()
                .limit(LUGS_SHOWN)
                .map(fit -> new LugRow(
                        fit.lug().code(),
                        fit.verdict(),
                        why(plan, fit, words),
                        fit.lug().code().equals(inUse)))
                .toList();
    }

    /** What is at hand of a part: how many lie on the shelf, whether the crib can press it. */
    static String handy(EndPlan plan, String code, Optional<Barrel> tube, Words words) {
        Handiness handy = plan.handy();
        String shelf = handy.onShelf(code).isEmpty()
                ? ""
                : ", "
                        + words.of(
                                handy.onShelf(code).getAsInt() == 0 ? "handy.none" : "handy.count",
                                handy.onShelf(code).getAsInt());
        boolean unpressed = !plan.dies().isEmpty() && tube.isPresent() && !handy.pressed(tube.get());
        return unpressed ? shelf + ", " + words.of("handy.nodies") : shelf;
    }

    private static String why(EndPlan plan, LugFit fit, Words words) {
        String hole = fit.exactHole()
                ? words.of("lug.exact")
                : words.of("lug.larger", Figures.fixed(fit.contactLossPercent(), 0));
        return words.of("lug.why", Figures.fixed(fit.boreFill(), 2), hole)
                + form(fit.lug(), words)
                + handy(plan, fit.lug().code(), Optional.of(fit.lug().barrel()), words);
    }

    /** What sets the lug off from a plain one, in words. */
    private static String form(Lug lug, Words words) {
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
        return said.stream().map(word -> ", " + words.of("lug.form." + word)).collect(Collectors.joining());
    }

    /** Every die with what it would do, by the tube that it presses or, without one, by its shape. */
    static List<DieRow> dieRows(EndPlan plan, @Nullable Crimp crimp, EndView.Shown shown) {
        if (plan.shapes().isEmpty()) {
            return plan.dies().stream()
                    .map(option -> dieRow(option, crimp, shown.fmt(), shown.words()))
                    .toList();
        }
        MatchedContact contact = Objects.requireNonNull(plan.contact());
        return shapeRows(plan, contact.die(), shown.fmt(), shown.words());
    }

    private static DieRow dieRow(Crimp option, @Nullable Crimp inUse, Fmt fmt, Words words) {
        return new DieRow(
                option.die().tag(),
                fmt.small(option.die().acrossFlatsMm()),
                Figures.fixed(option.compaction(), 2),
                DieChooser.dieVerdict(option),
                words.name(option.band()),
                Integer.toString(option.crimps()),
                inUse != null && option.die().equals(inUse.die()));
    }

    /** Dies for a contact without a tube, by their shape only. */
    private static List<DieRow> shapeRows(EndPlan plan, @Nullable Die inUse, Fmt fmt, Words words) {
        MatchedContact contact = Objects.requireNonNull(plan.contact());
        return plan.shapes().stream()
                .map(die -> new DieRow(
                        die.tag(),
                        fmt.small(die.acrossFlatsMm()),
                        "",
                        die.shape() == contact.contact().family().dies() ? Verdict.PASS : Verdict.STOP,
                        words.name(die.shape()),
                        "",
                        die.equals(inUse)))
                .toList();
    }
}
