package org.ulnaris.core.making;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.Toolbox;

/**
 * A lug with all that follows from it.
 *
 * @param fit how it sits on conductor and stud
 * @param crimp the dies in use; null when the crib is empty
 * @param stripMm insulation to take off, mm
 * @param shrink the sleeve
 * @param joint the nut on the stud at the nominal torque; null where no torque is known, or the post creeps
 * @param post what is said of the torque on the metal of its post; null where nothing is
 * @param stack the hardware
 * @param stackFindings whether the stud is long enough
 * @param tooling the tool for the crimp; null where no register is kept or nothing takes the dies
 * @param toolFindings what the dies and tools of the crib mean for the crimp
 */
public record MatchedLug(
        LugFit fit,
        @Nullable Crimp crimp,
        double stripMm,
        ShrinkChoice shrink,
        @Nullable BoltedJoint joint,
        @Nullable Finding post,
        HardwareStack stack,
        List<Finding> stackFindings,
        @Nullable Tooling tooling,
        List<Finding> toolFindings)
        implements Termination {
    /**
     * The tool for the crimp.
     *
     * @param tool the tool
     * @param dies its dies, and where they are now
     */
    public record Tooling(Tool tool, Toolbox.HeldDie dies) {}

    public Lug lug() {
        return fit.lug();
    }

    @Override
    public String code() {
        return lug().code();
    }

    @Override
    public CutLength.Reach reach() {
        return CutLength.Reach.of(lug());
    }

    @Override
    public double widestMm() {
        return Math.max(lug().pad().widthMm(), lug().barrel().outerMm());
    }

    @Override
    public ShrinkChoice sleeve() {
        return shrink;
    }

    @Override
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>(fit.findings());
        if (crimp != null) {
            crimp.findings().stream()
                    .filter(finding -> finding.code() != FindingCode.BARREL_FIT)
                    .forEach(findings::add);
        }
        findings.addAll(toolFindings);
        findings.add(shrink.finding());
        if (post != null) {
            findings.add(post);
        }
        if (joint != null) {
            findings.addAll(joint.findings());
        }
        findings.addAll(stackFindings);
        return List.copyOf(findings);
    }

    @Override
    public Verdict verdict() {
        return Verdict.worstOf(findings());
    }
}
