package org.ulnaris.app.make;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.proving.Acceptance;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.termination.CutLength;

/** Reads what was typed at a step and has it judged. */
final class ReadingReader {
    private static final Range LENGTH_MM = new Range(-1e-9, 600_000);
    private static final Range FORCE_N = new Range(-1e-9, 100_000);
    private static final Range TIME_S = new Range(-1e-9, 3600);
    private static final Range TORQUE_NM = new Range(0, 500);
    private static final Range STRANDS = new Range(0, 20_000);
    private static final Range LOST = new Range(-1, 20_000);

    private final CablePlan plan;
    private final PullSchool school;
    private final Entries entries;

    ReadingReader(CablePlan plan, JobDetails job, Entries entries) {
        this.plan = plan;
        this.school = schoolOf(job);
        this.entries = entries;
    }

    /** Whose pull-out forces hold: as the house says, else the small-craft table afloat, UL on land. */
    static PullSchool schoolOf(JobDetails job) {
        return switch (job.rules().practices().of(Practice.PULL)) {
            case "SMALL_CRAFT" -> PullSchool.MARINE;
            case "LAND" -> PullSchool.UL_486;
            case "BY_AREA" -> PullSchool.IEC_61238;
            default -> job.kind() == JobKind.MARINE ? PullSchool.MARINE : PullSchool.UL_486;
        };
    }

    /** The readings of {@code step}; unusable when the entries have faults. What is asked for is required. */
    List<Reading> read(long cableId, BuildStep step) {
        List<Reading> readings = new ArrayList<>();
        for (ReadingKind kind : plan.readings(step)) {
            Integer total = kind == ReadingKind.STRANDS_LOST && said("TOTAL", "665")
                    ? entries.count("TOTAL", STRANDS, 1)
                    : null;
            if (!said(kind.name(), kind.yesOrNo() ? Expected.of("yes-or-no") : example(kind))) {
                continue;
            }
            Finding finding = judge(kind, step, total);
            if (finding != null) {
                readings.add(new Reading(cableId, step.key(), kind, finding, total));
            }
        }
        return readings;
    }

    /** Whether something stands in the field; a field that is empty or missing is a fault, never a reading. */
    private boolean said(String field, Object example) {
        if (entries.present(field) && !entries.blank(field)) {
            return true;
        }
        entries.fault(field, Fault.Code.EMPTY, example);
        return false;
    }

    private static String example(ReadingKind kind) {
        return kind.unit() == null ? "0" : kind.unit().dimension().example();
    }

    private @Nullable Finding judge(ReadingKind kind, BuildStep step, @Nullable Integer total) {
        Termination end = step.side() == null ? null : plan.end(step.side()).termination();
        CutLength cut = plan.cutLength();
        return switch (kind) {
            case CUT_LENGTH ->
                Acceptance.cutLength(
                        cut == null ? plan.route().lengthMm() : cut.cutMm(),
                        plan.route().slackMm(),
                        length(kind));
            case STRIP_LENGTH -> end == null ? null : Acceptance.stripLength(end.stripMm(), length(kind));
            case STRANDS_LOST -> strands(total == null ? 1 : total);
            case ACROSS_FLATS_1, ACROSS_FLATS_2 -> acrossFlats(end, length(kind));
            case CRIMP_GAP -> end == null ? null : Acceptance.crimpGap(end.gapMm(), length(kind));
            case PULL_FORCE ->
                Acceptance.pullForce(
                        plan.cable().conductor().size(),
                        school,
                        entries.quantity(kind.name(), Unit.NEWTON, FORCE_N, 0));
            case HOLD_TIME -> Acceptance.holdTime(entries.quantity(kind.name(), Unit.SECOND, TIME_S, 0));
            case TORQUE ->
                step.side() == null
                        ? null
                        : Acceptance.torque(
                                plan.end(step.side()).torque(),
                                entries.quantity(kind.name(), Unit.NEWTON_METRE, TORQUE_NM, 1));
            case WITNESS_MARK -> Acceptance.witnessMark(yes(kind));
            case LOOK_INDEX, LOOK_CRACKS, LOOK_FINS, LOOK_STRAIGHT, LOOK_WINDOW ->
                Acceptance.look(kind.code(), yes(kind));
        };
    }

    private boolean yes(ReadingKind kind) {
        return entries.choice(kind.name(), Answer.class, Answer.YES) == Answer.YES;
    }

    /** To what is answered by yes or no. */
    enum Answer {
        YES,
        NO
    }

    private double length(ReadingKind kind) {
        return entries.quantity(kind.name(), Unit.MM, LENGTH_MM, 1);
    }

    private static @Nullable Finding acrossFlats(@Nullable Termination end, double measuredMm) {
        Crimp crimp = end == null ? null : end.crimp();
        return crimp == null ? null : Acceptance.acrossFlats(crimp.die(), measuredMm);
    }

    private Finding strands(int total) {
        int lost = entries.count(ReadingKind.STRANDS_LOST.name(), LOST, 0);
        if (lost > total) {
            entries.fault(ReadingKind.STRANDS_LOST.name(), Fault.Code.CONTRADICTS, Expected.of("to-strands"));
        }
        return Acceptance.strandsLost(Math.min(lost, total), total);
    }
}
