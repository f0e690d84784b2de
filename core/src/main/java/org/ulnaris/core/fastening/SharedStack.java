package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * Several lugs on one stud, from the conductor surface up: the largest lowest, nothing between lug and surface, then one set of washers
 * and nut (common practice).
 *
 * @param stud the stud
 * @param lugs largest pad first
 */
public record SharedStack(Stud stud, List<Pad> lugs) {
    /**
     * A lug of the stack.
     *
     * @param name cable and end
     * @param widthMm width of its pad, mm
     * @param thicknessMm thickness of its pad, mm
     */
    public record Pad(String name, double widthMm, double thicknessMm) {}

    /** From so many lugs on the stud's length and torque have to be known (ours). */
    private static final int HIGH_FROM = 3;

    private static final Source SOURCE = Source.practice(note("SharedStack.lugs-on-a-stud"));

    public SharedStack {
        lugs = lugs.stream()
                .sorted(Comparator.comparingDouble(Pad::widthMm).reversed().thenComparing(Pad::name))
                .toList();
    }

    /** The lugs of {@code pads} on {@code stud}, in whatever order they come. */
    public static SharedStack of(Stud stud, Collection<Pad> pads) {
        return new SharedStack(stud, List.copyOf(pads));
    }

    /** Height of all lugs, washers and nut, mm. */
    public double heightMm() {
        double pads = lugs.stream().mapToDouble(Pad::thicknessMm).sum();
        return new HardwareStack(stud, pads).heightMm();
    }

    /** Stud that leaves two threads proud, mm. */
    public double studNeededMm() {
        return heightMm() + HardwareStack.THREADS_PROUD * stud.thread().pitchMm();
    }

    /** Whether a stud of {@code studLengthMm} takes them all; empty where its length is not known and need not be. */
    public Optional<Finding> finding(OptionalDouble studLengthMm) {
        if (studLengthMm.isEmpty()) {
            return isHigh()
                    ? Optional.of(new Finding(
                            FindingCode.SHARED_STUD, Verdict.OPEN, 0, studNeededMm(), "mm", explanation(), SOURCE))
                    : Optional.empty();
        }
        double length = studLengthMm.getAsDouble();
        Verdict verdict = length >= heightMm() ? Verdict.WATCH : Verdict.STOP;
        return Optional.of(new Finding(
                FindingCode.SHARED_STUD,
                length >= studNeededMm() ? Verdict.PASS : verdict,
                length,
                studNeededMm(),
                "mm",
                explanation(),
                SOURCE));
    }

    /** That nobody has given the torque of a stud with so many lugs. */
    public Optional<Finding> torqueUnknown() {
        return isHigh()
                ? Optional.of(Finding.said(
                        FindingCode.STACK_TORQUE,
                        Verdict.OPEN,
                        "",
                        note("SharedStack.torque-not-given", String.valueOf(lugs.size())),
                        SOURCE))
                : Optional.empty();
    }

    private boolean isHigh() {
        return lugs.size() >= HIGH_FROM;
    }

    /** How the stud that is needed comes about. */
    public Explanation explanation() {
        return Explanation.of(
                        term("l", studNeededMm(), "mm"),
                        term("h", heightMm(), "mm")
                                .plus(term("n", HardwareStack.THREADS_PROUD, "")
                                        .times(term("P", stud.thread().pitchMm(), "mm"))))
                .with(term("lugs", lugs.size(), ""))
                .noted(note("SharedStack.h-all-pads"));
    }
}
