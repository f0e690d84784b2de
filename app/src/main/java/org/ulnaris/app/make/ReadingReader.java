package org.ulnaris.app.make;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.record.ReadingJudge;

/** Reads what was typed at a step and has it judged. */
final class ReadingReader {
    private static final Range LENGTH_MM = Range.from(0, 600_000);
    private static final Range FORCE_N = Range.from(0, 100_000);
    private static final Range TIME_S = Range.from(0, 3600);
    private static final Range TORQUE_NM = new Range(0, 500);
    private static final Range STRANDS = new Range(0, 20_000);
    private static final Range LOST = Range.from(0, 20_000);

    private final ReadingJudge judge;
    private final Entries entries;

    ReadingReader(ReadingJudge judge, Entries entries) {
        this.judge = judge;
        this.entries = entries;
    }

    /** The readings of {@code step}; unusable when the entries have faults. What is asked for is required. */
    List<Reading> read(long cableId, BuildStep step) {
        List<Reading> readings = new ArrayList<>();
        for (ReadingKind kind : judge.plan().readings(step)) {
            Integer total = kind == ReadingKind.STRANDS_LOST && said("TOTAL", "665")
                    ? entries.count("TOTAL", STRANDS, 1)
                    : null;
            if (!said(kind.name(), kind.yesOrNo() ? Expected.of("yes-or-no") : example(kind))) {
                continue;
            }
            judge.judge(step, kind, figure(kind, total), total)
                    .ifPresent(finding -> readings.add(new Reading(cableId, step.key(), kind, finding, total)));
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

    private double figure(ReadingKind kind, @Nullable Integer total) {
        Unit unit = kind.unit();
        if (kind.yesOrNo()) {
            return entries.choice(kind.name(), Answer.class, Answer.YES) == Answer.YES ? 1 : 0;
        }
        return unit == null
                ? lost(total == null ? 1 : total)
                : entries.quantity(kind.name(), unit, range(unit), unit == Unit.NEWTON_METRE ? 1 : 0);
    }

    private static Range range(Unit unit) {
        return switch (unit.dimension()) {
            case FORCE -> FORCE_N;
            case TIME -> TIME_S;
            case TORQUE -> TORQUE_NM;
            default -> LENGTH_MM;
        };
    }

    private int lost(int total) {
        int lost = entries.count(ReadingKind.STRANDS_LOST.name(), LOST, 0);
        if (lost > total) {
            entries.fault(ReadingKind.STRANDS_LOST.name(), Fault.Code.CONTRADICTS, Expected.of("to-strands"));
        }
        return Math.min(lost, total);
    }

    /** To what is answered by yes or no. */
    enum Answer {
        YES,
        NO
    }
}
