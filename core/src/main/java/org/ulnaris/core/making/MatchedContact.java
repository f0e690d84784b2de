package org.ulnaris.core.making;

import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;

/**
 * A contact with all that follows from it.
 *
 * @param fit how it does
 * @param die the dies picked for it, else the best of the crib in its shape; null where the crib has none
 * @param crimp what the dies do to its tube; null where it has none
 * @param sleeve the sleeve over a heavy splice; null for none
 */
public record MatchedContact(
        ContactFit fit,
        @Nullable Die die,
        @Nullable Crimp crimp,
        @Nullable ShrinkChoice sleeve) implements Termination {
    /** Outer sheath to take back on a twin cable of a two-pole connector, mm (common practice). */
    public static final double SHEATH_MM = 50;

    public Contact contact() {
        return fit.contact();
    }

    @Override
    public String code() {
        return contact().code();
    }

    @Override
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>(fit.findings());
        boolean pressed = contact().family().crimped() && fit.demand().method() != JoinMethod.SOLDER_FILLED;
        if (pressed) {
            findings.add(shape());
            if (crimp != null) {
                crimp.findings().stream()
                        .filter(finding -> finding.code() == FindingCode.COMPACTION
                                || finding.code() == FindingCode.CRIMP_COUNT
                                || contact().family() == Family.HEAVY_SPLICE)
                        .forEach(findings::add);
            }
        }
        if (sleeve != null) {
            findings.add(sleeve.finding());
        }
        return List.copyOf(findings);
    }

    /** A pointed indent or a hexagon pierces an insulated sleeve; a ferrule wants a square. */
    private Finding shape() {
        Die dies = die;
        Verdict verdict = Verdict.OPEN;
        if (dies != null) {
            verdict = dies.shape() == contact().family().dies() ? Verdict.PASS : Verdict.STOP;
        }
        return new Finding(
                FindingCode.CONTACT_DIE,
                verdict,
                verdict == Verdict.PASS ? 1 : 0,
                1,
                "",
                Explanation.words(note("MatchedContact.dies-in-the")),
                Source.practice(note("MatchedContact.insulated-and-bare")));
    }

    @Override
    public Verdict verdict() {
        return Verdict.worstOf(findings());
    }

    @Override
    public CutLength.Reach reach() {
        return new CutLength.Reach(contact().seat().reachMm(), contact().seat().depthMm());
    }

    @Override
    public double stripMm() {
        return contact().stripMm();
    }

    @Override
    public double widestMm() {
        return contact().seat().heightMm();
    }
}
