package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Expression.PI;
import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;

/**
 * A nut drawn down on a stud.
 *
 * <p>Preload F = T/(K·d) (Shigley); share of proof load F/(A_s·S_p);
 * pressure under the washer F/(π/4·(D_w² − D_h²)).
 *
 * @param stud the stud
 * @param torqueNm torque, N·m
 * @param holeMm hole in the lug, mm
 * @param bolting steel and threads that are assumed
 */
public record BoltedJoint(Stud stud, double torqueNm, double holeMm, Bolting bolting) {
    /** Share of the proof load: up to 0.75 usual for reusable joints, beyond 0.90 the stud may yield. */
    static final Bands PROOF_SHARE = new Bands(0, 0, 0.75, 0.90);
    /** Pressure on a soft copper pad, MPa (ours). */
    static final Bands WASHER_PRESSURE_MPA = new Bands(0, 0, 100, 140);

    /** Where preload and proof load come from. */
    public static final Source SOURCE =
            new Source(note("BoltedJoint.shigley-iso-898"), "T = K·F·d", Confidence.RECALLED_HIGH);

    public BoltedJoint {
        TorqueSpec.TORQUE_NM.check("torqueNm", torqueNm);
        if (!(holeMm > 0 && holeMm < stud.hardware().washerOuterMm())) {
            throw new IllegalArgumentException("hole must be smaller than the washer; have " + holeMm + " mm");
        }
    }

    /** With steel of class 8.8 or grade 5, dry. */
    public BoltedJoint(Stud stud, double torqueNm, double holeMm) {
        this(stud, torqueNm, holeMm, Bolting.USUAL);
    }

    /** Torque that loads {@code stud} of {@code bolting} to what is usual for reusable joints, N·m. */
    static double usualNm(Stud stud, Bolting bolting) {
        return PROOF_SHARE.passTo()
                * bolting.threads().nutFactor()
                * stud.thread().diameterMm()
                / 1000
                * stud.thread().stressAreaMm2()
                * bolting.steel().proofStressMPa(stud);
    }

    /** Clamping force, N. */
    public double preloadN() {
        return torqueNm / (bolting.threads().nutFactor() * stud.thread().diameterMm() / 1000);
    }

    /** Preload ÷ proof load. */
    public double proofShare() {
        return preloadN() / (stud.thread().stressAreaMm2() * bolting.steel().proofStressMPa(stud));
    }

    /** Torque that draws the stud to its proof load, N·m. */
    public double proofNm() {
        return torqueNm / proofShare();
    }

    /** Pressure between washer and pad, MPa. */
    public double washerPressureMPa() {
        return preloadN() / ringAreaMm2(stud.hardware().washerOuterMm(), holeMm);
    }

    static double ringAreaMm2(double outerMm, double innerMm) {
        return Math.PI / 4 * (outerMm * outerMm - innerMm * innerMm);
    }

    /** Preload and pressure against their limits. */
    public List<Finding> findings() {
        Explanation preload = Explanation.of(
                term("s", 100 * proofShare(), "%"),
                term("T", torqueNm, "N·m")
                        .over(term("K", bolting.threads().nutFactor(), "")
                                .times(term("d", stud.thread().diameterMm(), "mm"))
                                .times(term("A_s", stud.thread().stressAreaMm2(), "mm²"))
                                .times(term("S_p", bolting.steel().proofStressMPa(stud), "MPa"))));
        Explanation pressure = Explanation.of(
                term("p", washerPressureMPa(), "MPa"),
                term("F", preloadN(), "N")
                        .over(PI.over(number(4))
                                .times(term("D_w", stud.hardware().washerOuterMm(), "mm")
                                        .squared()
                                        .minus(term("D_h", holeMm, "mm").squared()))));
        return List.of(
                new Finding(
                        FindingCode.PRELOAD,
                        PROOF_SHARE.judge(proofShare()),
                        100 * proofShare(),
                        100 * PROOF_SHARE.stopAbove(),
                        "%",
                        preload,
                        SOURCE,
                        bolting.words()),
                new Finding(
                        FindingCode.WASHER_PRESSURE,
                        WASHER_PRESSURE_MPA.judge(washerPressureMPa()),
                        washerPressureMPa(),
                        WASHER_PRESSURE_MPA.stopAbove(),
                        "MPa",
                        pressure,
                        Source.own(note("BoltedJoint.pressure-on-a"))));
    }
}
