package org.ulnaris.core.solving;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Run;

/**
 * Joints of a run: a lug on either end, and every splice between. A sound joint counts as much as {@value #BUNDLES} bundle
 * diameters of its conductor (ours, after the resistance factor of IEC 61238-1).
 */
public final class Joints {
    static final double BUNDLES = 4;

    private Joints() {}

    /** Expected resistance of a joint on {@code conductor} at 20 °C, Ω. */
    public static double ohm(Conductor conductor) {
        return ConductorResistance.ohmPerMetreAt20(conductor)
                * BUNDLES
                * CableGeometry.bundleDiameterMm(conductor)
                / 1000;
    }

    /** Resistance of all joints of {@code run} in {@code conductor} at 20 °C, Ω. */
    static double ohm(Run run, Conductor conductor) {
        return run.joints() * ohm(conductor);
    }

    /** {@code joints} of a run against what its ends need: twice as many are a fault in themselves (common practice). */
    public static Finding finding(int joints, Conductor conductor) {
        Verdict verdict = Verdict.STOP;
        if (joints <= Run.ENDS) {
            verdict = Verdict.PASS;
        } else if (joints < 2 * Run.ENDS) {
            verdict = Verdict.WATCH;
        }
        return new Finding(
                FindingCode.JOINTS,
                verdict,
                joints,
                Run.ENDS,
                "",
                Explanation.of(
                                term("R_j", 1e3 * joints * ohm(conductor), "mΩ"),
                                term("n", joints, "")
                                        .times(number(4))
                                        .times(term("d_bundle", CableGeometry.bundleDiameterMm(conductor), "mm"))
                                        .times(term("r_20", ConductorResistance.ohmPerMetreAt20(conductor), "Ω/m")))
                        .noted(note("Joints.expected-of-sound")),
                Source.practice(note("Joints.one-unbroken-cable")));
    }
}
