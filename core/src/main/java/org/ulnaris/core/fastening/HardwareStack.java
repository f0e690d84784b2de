package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * What sits on a stud, from the conductor surface up: lug flat on the surface, flat washer, lock washer, nut; nothing
 * between lug and surface (common practice).
 *
 * @param stud the stud
 * @param padMm thickness of the lug's pad, mm
 */
public record HardwareStack(Stud stud, double padMm) {
    /** Threads that must show above the nut (common practice). */
    public static final int THREADS_PROUD = 2;

    /** The parts of a stack, bottom to top. */
    public enum Part {
        LUG,
        FLAT_WASHER,
        LOCK_WASHER,
        NUT
    }

    /**
     * One part of the stack.
     *
     * @param part which
     * @param heightMm its height, mm
     */
    public record Layer(Part part, double heightMm) {}

    /** Bottom to top. */
    public List<Layer> layers() {
        Stud.Hardware hardware = stud.hardware();
        return List.of(
                new Layer(Part.LUG, padMm),
                new Layer(Part.FLAT_WASHER, hardware.washerMm()),
                new Layer(Part.LOCK_WASHER, hardware.lockWasherMm()),
                new Layer(Part.NUT, hardware.nutMm()));
    }

    /** Height of all parts, mm. */
    public double heightMm() {
        return layers().stream().mapToDouble(Layer::heightMm).sum();
    }

    /** Stud length that leaves {@value #THREADS_PROUD} threads proud, mm. */
    public double studNeededMm() {
        return heightMm() + THREADS_PROUD * stud.thread().pitchMm();
    }

    /** How the stud length that is needed comes about. */
    public Explanation explanation() {
        return Explanation.of(
                term("l", studNeededMm(), "mm"),
                term("h", heightMm(), "mm")
                        .plus(term("n", THREADS_PROUD, "")
                                .times(term("P", stud.thread().pitchMm(), "mm"))));
    }

    /** Whether a stud of the given length is long enough; nothing when it is not known. */
    public List<Finding> findings(OptionalDouble studLengthMm) {
        if (studLengthMm.isEmpty()) {
            return List.of();
        }
        double length = studLengthMm.getAsDouble();
        Verdict verdict = Verdict.STOP;
        if (length >= studNeededMm()) {
            verdict = Verdict.PASS;
        } else if (length >= heightMm()) {
            verdict = Verdict.WATCH;
        }
        return List.of(new Finding(
                FindingCode.STUD_LENGTH,
                verdict,
                length,
                studNeededMm(),
                "mm",
                explanation(),
                Source.practice(note("HardwareStack.at-least-two"))));
    }
}
