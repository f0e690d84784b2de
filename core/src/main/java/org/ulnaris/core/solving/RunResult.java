package org.ulnaris.core.solving;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.sizing.DutyHeat;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizeChoice;
import org.ulnaris.core.sizing.SizingResult;
import org.ulnaris.core.sizing.SurgeHeat;

/**
 * A run sized for the worst of all cases.
 *
 * @param run the run
 * @param worstCase name of the case with its greatest current; empty when no current ever flows
 * @param continuousA that current, A
 * @param surgeA greatest current with surges, A
 * @param surgeS longest surge that it sees, s
 * @param duty work and rest of the one load that it carries in its worst case; null where it carries more, or one that works on
 * @param choice its ladder with the rung in use
 */
public record RunResult(
        Run run,
        String worstCase,
        double continuousA,
        double surgeA,
        double surgeS,
        Device.@Nullable Duty duty,
        SizeChoice choice) {
    private static final double LEAST_A = 0.001;

    public SizingResult sizing() {
        return choice.result();
    }

    /** The rung in use: fixed by hand, else the proposal, else the thickest. */
    public Rung inUse() {
        return choice.inUse();
    }

    /** What passes it, A and s, as a fuse has to let it pass. */
    public ProtectedCable.Load load() {
        return load(sizedForA(), surgeA, surgeS, inUse().derating().localAmbientC());
    }

    static ProtectedCable.Load load(double sizedForA, double surgeA, double surgeS, double aroundC) {
        return new ProtectedCable.Load(Math.max(LEAST_A, sizedForA), Math.max(LEAST_A, surgeA), surgeS, aroundC);
    }

    /** What it is sized for, A: what flows, or what a person asks of it. */
    public double sizedForA() {
        return Math.max(continuousA, run.typedA());
    }

    /** Resistance at 20 °C without its joints, Ω. */
    public double ohmAt20() {
        return inUse().ohm(run.lengthM());
    }

    /** What its joints take of its own drop, 0 to 1. */
    public double jointShare() {
        double joints = Joints.ohm(run, inUse().conductor());
        return joints / (joints + ohmAt20());
    }

    /** What the network says of the run beside its ladder: the heat of its surge and of its duty. */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        SurgeHeat.finding(inUse(), new SurgeHeat.Surge(inUse().heatingA(), surgeA, surgeS))
                .ifPresent(findings::add);
        if (duty != null) {
            DutyHeat.finding(inUse(), continuousA, duty.onS(), duty.offS()).ifPresent(findings::add);
        }
        return List.copyOf(findings);
    }
}
