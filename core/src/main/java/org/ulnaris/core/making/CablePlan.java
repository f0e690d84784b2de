package org.ulnaris.core.making;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Twist;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.CutLength;

/**
 * A cable with both ends planned.
 *
 * @param cable conductor and diameters
 * @param route the way that it takes
 * @param a the A end
 * @param b the B end
 * @param sleeves what lies over its run
 */
public record CablePlan(CableGeometry cable, PlanInput.Route route, EndPlan a, EndPlan b, RunSleeves sleeves) {
    /** Plans both ends. */
    public static CablePlan of(PlanInput input) {
        EndPlan a = EndPlanner.plan(Side.A, input);
        EndPlan b = EndPlanner.plan(Side.B, input);
        double narrower = Math.min(widestMm(a), widestMm(b));
        RunSleeves sleeves = RunSleeves.of(
                input.shop().tubes(),
                input.cable().outerMm(),
                narrower,
                input.circumstances().inLoom());
        return new CablePlan(input.cable(), input.route(), a, b, sleeves);
    }

    private static double widestMm(EndPlan end) {
        Termination at = end.termination();
        return at == null ? 0 : at.widestMm();
    }

    /** The steps to build the cable, in working order. */
    public List<BuildStep> steps() {
        boolean aluminium = !cable.conductor().metal().isCopper();
        return EndKind.steps(a.kind().onAluminium(aluminium), b.kind().onAluminium(aluminium));
    }

    /** The readings that a step takes of this cable: copper is looked for only where there is a window. */
    public List<ReadingKind> readings(BuildStep step) {
        Side side = step.side();
        MatchedLug lug = side == null ? null : end(side).match();
        boolean window = lug != null && lug.lug().form().body().window();
        return step.kind().readings().stream()
                .filter(kind -> kind != ReadingKind.LOOK_WINDOW || window)
                .toList();
    }

    /** What can hurt in a step of this cable. */
    public List<Caution> cautions(BuildStep step) {
        Side side = step.side();
        boolean solar = side != null && end(side).kind().family() == Family.PV;
        boolean live = step.kind() == StepKind.SEAT || step.kind() == StepKind.MATE;
        List<Caution> cautions = new ArrayList<>(step.kind().cautions());
        if (solar && live) {
            cautions.add(Caution.LIVE_IN_DAYLIGHT);
        }
        return List.copyOf(cautions);
    }

    /** Whether both ends are made alike: the same lug or contact, dies, strip and sleeve. */
    public boolean sameEnds() {
        return a.made().isPresent() && a.made().equals(b.made());
    }

    /** Whether both ends are crimped alike, whatever their lugs: the same dies, strip and sleeve. */
    public boolean sameCrimps() {
        return a.made().isPresent()
                && a.made().map(EndPlan.Made::crimped).equals(b.made().map(EndPlan.Made::crimped));
    }

    public EndPlan end(Side side) {
        return side == Side.A ? a : b;
    }

    /** Cut length; null until something stands at both ends. */
    public @Nullable CutLength cutLength() {
        Termination endA = a.termination();
        Termination endB = b.termination();
        return endA == null || endB == null
                ? null
                : new CutLength(route.lengthMm(), route.slackMm(), endA.reach(), endB.reach());
    }

    /** How long the cable is cut, mm: the cut length, or the route while an end is not known. */
    public double plannedCutMm() {
        CutLength cut = cutLength();
        return cut == null ? route.lengthMm() : cut.cutMm();
    }

    /** Whether its length has room for cable between both ends; empty until something stands at both. */
    public Optional<Finding> roomFinding() {
        return Optional.ofNullable(cutLength()).map(cut -> cut.room(cable.outerMm()));
    }

    /** What redoing the end {@code side} costs in length, mm; empty where nothing stands there. */
    public OptionalDouble redoCostMm(Side side) {
        Termination end = end(side).termination();
        return end == null ? OptionalDouble.empty() : OptionalDouble.of(CutLength.redoCostMm(end.reach()));
    }

    /** Whether the slack that is left after {@code usedMm} covers one more redo of {@code side}. */
    public Finding slackFinding(Side side, double usedMm) {
        double left = route.slackMm() - usedMm;
        double cost = redoCostMm(side).orElse(0);
        Explanation explanation = Explanation.of(
                term("left", left, "mm"), term("slack", route.slackMm(), "mm").minus(term("used", usedMm, "mm")));
        return new Finding(
                FindingCode.SLACK,
                left >= cost ? Verdict.PASS : Verdict.STOP,
                left,
                cost,
                "mm",
                explanation,
                Source.own(note("CablePlan.a-redone-end")));
    }

    /** Tightest bend, mm of radius, at {@code diameters} × outside diameter (a house rule; the maker's figure goes first). */
    public double bendRadiusMm(double diameters) {
        return diameters * cable.outerMm();
    }

    /** Whether the angle between two lugs may be set by eye; empty where an end has no lug. */
    public Optional<Finding> clockFinding() {
        return a.match() == null || b.match() == null
                ? Optional.empty()
                : Optional.of(Twist.finding(route.lengthMm(), cable.outerMm()));
    }

    /** Worst verdict of both ends. */
    public Verdict verdict() {
        return a.verdict().and(b.verdict());
    }
}
