package org.ulnaris.core.record;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.proving.Acceptance;
import org.ulnaris.core.proving.PullSchool;

/**
 * Judges what was read at the bench against a plan.
 *
 * @param plan what the cable shall be
 * @param school whose pull-out forces hold
 */
public record ReadingJudge(CablePlan plan, PullSchool school) {
    /**
     * A reading judged.
     *
     * @param figure what was read in the unit of its kind, a yes as 1
     * @param total of how many strands; read of {@link ReadingKind#STRANDS_LOST} only
     * @return empty where the plan asks for no such reading
     */
    public Optional<Finding> judge(BuildStep step, ReadingKind kind, double figure, @Nullable Integer total) {
        Termination end = step.side() == null ? null : plan.end(step.side()).termination();
        return Optional.ofNullable(
                switch (kind) {
                    case CUT_LENGTH -> cut(figure);
                    case STRIP_LENGTH -> end == null ? null : Acceptance.stripLength(end.stripMm(), figure);
                    case STRANDS_LOST -> total == null ? null : Acceptance.strandsLost((int) figure, total);
                    case ACROSS_FLATS_1, ACROSS_FLATS_2 -> acrossFlats(end, figure);
                    case CRIMP_GAP -> end == null ? null : Acceptance.crimpGap(end.gapMm(), figure);
                    case PULL_FORCE -> Acceptance.pullForce(plan.cable().conductor(), school, figure);
                    case HOLD_TIME -> Acceptance.holdTime(figure);
                    case TORQUE -> step.side() == null ? null : torque(plan.end(step.side()), figure);
                    case WITNESS_MARK -> Acceptance.witnessMark(figure > 0);
                    case LOOK_INDEX, LOOK_CRACKS, LOOK_FINS, LOOK_STRAIGHT, LOOK_WINDOW ->
                        Acceptance.look(kind.code(), figure > 0);
                });
    }

    private static Finding torque(EndPlan end, double torqueNm) {
        MatchedLug lug = end.match();
        return Acceptance.torque(end.torque(), lug == null ? null : lug.joint(), torqueNm);
    }

    private Finding cut(double measuredMm) {
        return Acceptance.cutLength(plan.plannedCutMm(), plan.route().slackMm(), measuredMm);
    }

    private static @Nullable Finding acrossFlats(@Nullable Termination end, double measuredMm) {
        Crimp crimp = end == null ? null : end.crimp();
        return crimp == null ? null : Acceptance.acrossFlats(crimp.die(), measuredMm);
    }
}
