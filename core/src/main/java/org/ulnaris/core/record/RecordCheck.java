package org.ulnaris.core.record;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.WorkingOrder;
import org.ulnaris.core.proving.Acceptance;

/** What the record of a cable says of it beside its plan. */
public final class RecordCheck {
    private final CableRecord kept;
    private final ReadingJudge judge;
    private final List<BuildStep> steps;

    /** The record {@code kept} of the cable whose plan {@code judge} knows. */
    public RecordCheck(CableRecord kept, ReadingJudge judge) {
        this.kept = kept;
        this.judge = judge;
        this.steps = judge.plan().steps();
    }

    /**
     * A finding about what was made.
     *
     * @param side the end; null for the cable as a whole
     */
    public record Made(@Nullable Side side, Finding finding) {}

    /** Everything that the record says; nothing of a cable of which nothing is made. */
    public List<Made> findings() {
        List<Made> said = new ArrayList<>();
        if (!kept.begun()) {
            return said;
        }
        unfinished().ifPresent(finding -> said.add(new Made(null, finding)));
        for (Taken taken : kept.inForce()) {
            said.add(new Made(taken.step().side(), taken.judged()));
            moved(taken).ifPresent(finding -> said.add(new Made(taken.step().side(), finding)));
        }
        for (BuildStep step : steps) {
            if (kept.ticked().contains(step.key())) {
                unread(step).forEach(finding -> said.add(new Made(step.side(), finding)));
            }
        }
        length().ifPresent(finding -> said.add(new Made(null, finding)));
        size().ifPresent(finding -> said.add(new Made(null, finding)));
        return said;
    }

    /** A reading that was good enough for the plan of its day and is not for the plan of today. */
    private Optional<Finding> moved(Taken taken) {
        Finding then = taken.judged();
        if (then.verdict() == Verdict.OPEN || then.deviation() != null) {
            return Optional.empty();
        }
        return judge.judge(taken.step(), taken.kind(), then.figure(), taken.total())
                .filter(now -> now.verdict().compareTo(then.verdict()) > 0
                        && now.verdict().asks())
                .map(now -> new Finding(
                        FindingCode.PLAN_MOVED,
                        now.verdict(),
                        now.figure(),
                        now.limit(),
                        now.unit(),
                        now.explanation(),
                        now.source()));
    }

    /** Steps that were ended without a reading that the plan asks for. */
    private List<Finding> unread(BuildStep step) {
        List<Finding> unread = new ArrayList<>();
        for (ReadingKind kind : judge.plan().readings(step)) {
            if (kept.of(step, kind).isEmpty()) {
                unread.add(Finding.notMeasured(kind.code(), ""));
            }
        }
        return unread;
    }

    /** A cable that redone ends have made too short to reach: short = used − slack − (L_cut − L_plan). */
    private Optional<Finding> length() {
        if (kept.usedMm() <= 0) {
            return Optional.empty();
        }
        double slackMm = judge.plan().route().slackMm();
        double spareMm = kept.inForce().stream()
                .filter(taken ->
                        taken.kind() == ReadingKind.CUT_LENGTH && taken.judged().figure() > 0)
                .mapToDouble(taken -> taken.judged().figure() - judge.plan().plannedCutMm())
                .findFirst()
                .orElse(0);
        double shortMm = kept.usedMm() - slackMm - spareMm;
        return shortMm <= Acceptance.CUT_SHORT_MM
                ? Optional.empty()
                : Optional.of(new Finding(
                        FindingCode.MADE_LENGTH,
                        Verdict.STOP,
                        shortMm,
                        0,
                        "mm",
                        Explanation.of(
                                term("short", shortMm, "mm"),
                                term("used", kept.usedMm(), "mm")
                                        .minus(term("slack", slackMm, "mm"))
                                        .minus(term("spare", spareMm, "mm"))),
                        Source.own(note("RecordCheck.made-outranks-planned"))));
    }

    /** A cable cut from another size than the plan asks for now. */
    private Optional<Finding> size() {
        if (kept.cutSize() == null) {
            return Optional.empty();
        }
        ConductorSize planned = judge.plan().cable().conductor().size();
        OptionalDouble cut = ConductorSizes.designated(kept.cutSize())
                .map(size -> OptionalDouble.of(size.areaMm2()))
                .orElse(OptionalDouble.empty());
        if (kept.cutSize().equals(planned.designation()) || cut.isEmpty()) {
            return Optional.empty();
        }
        double madeMm2 = cut.getAsDouble();
        return Optional.of(new Finding(
                FindingCode.MADE_SIZE,
                madeMm2 < planned.areaMm2() ? Verdict.STOP : Verdict.WATCH,
                madeMm2,
                planned.areaMm2(),
                "mm²",
                Explanation.read(
                        note("RecordCheck.cut-from"),
                        term("A_cut", madeMm2, "mm²"),
                        term("A_plan", planned.areaMm2(), "mm²")),
                Source.own(note("RecordCheck.made-outranks-planned")),
                kept.cutSize() + ", " + planned.designation()));
    }

    private Optional<Finding> unfinished() {
        WorkingOrder order = new WorkingOrder(steps, kept.done());
        if (order.current().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.MAKING,
                Verdict.OPEN,
                order.doneCount(),
                steps.size(),
                "",
                Explanation.read(
                        note("RecordCheck.steps-done"),
                        term("done", order.doneCount(), ""),
                        term("steps", steps.size(), "")),
                Source.own(note("RecordCheck.made-outranks-planned"))));
    }
}
