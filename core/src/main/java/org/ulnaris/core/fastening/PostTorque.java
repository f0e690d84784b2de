package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.TerminalMetal;

/**
 * A torque against the metal of its post. Lead and aluminium creep: no table holds for them, their maker's figure does. Floor: half of
 * what IEC 60947-1 gives for a stud so thick. Ceiling: three quarters of the proof load, of lead and aluminium twice IEC 60947-1 (ours,
 * from common practice).
 *
 * @param stud the stud
 * @param metal what the post is made of; null where nobody said
 * @param bolting steel and threads that a house takes for its studs
 */
public record PostTorque(Stud stud, @Nullable TerminalMetal metal, Bolting bolting) {
    static final double FLOOR_SHARE = 0.5;
    static final double SOFT_CEILING_TIMES = 2;
    /** So far beyond the ceiling it is no post any more (ours). */
    private static final double RUIN = 2;

    private static final double POUND_INCH_NM = 0.1129848;
    private static final double INCHES_PER_FOOT = 12;

    private static final Source CREEPS = Source.practice(note("PostTorque.lead-and-aluminium"));
    private static final Source RANGE = Source.practice(note("PostTorque.a-nut-neither"));

    /** Whether it gives way under a nut in time: no preload holds. */
    public boolean creeps() {
        return metal == TerminalMetal.LEAD || metal == TerminalMetal.ALUMINIUM;
    }

    /** The torque where the maker gives none; empty on metals for which no table holds, on brass no more than it stands. */
    public Optional<TorqueSpec> byTable() {
        if (creeps()) {
            return Optional.empty();
        }
        TorqueSpec table = TorqueSpec.byStud(stud);
        return Optional.of(
                table.nominalNm() <= ceilingNm() || metal != TerminalMetal.BRASS
                        ? table
                        : TorqueSpec.around(ceilingNm(), Source.own(note("PostTorque.three-quarters-of"))));
    }

    private double isoNm() {
        Stud metric = stud.name().startsWith("M") ? stud : TorqueSpec.twin(stud);
        return TorqueSpec.byStud(metric).nominalNm();
    }

    /** Least torque, N·m. */
    public double floorNm() {
        return FLOOR_SHARE * isoNm();
    }

    /** Greatest torque, N·m. */
    public double ceilingNm() {
        if (creeps()) {
            return SOFT_CEILING_TIMES * isoNm();
        }
        return BoltedJoint.usualNm(stud, bolting.on(metal));
    }

    /** What is said of the maker's torque; empty where there is none and a table holds. */
    public Optional<Finding> finding(@Nullable TorqueSpec maker) {
        if (maker == null) {
            return creeps()
                    ? Optional.of(Finding.said(
                            FindingCode.POST_TORQUE,
                            Verdict.OPEN,
                            metal == null ? "" : metal.name().toLowerCase(Locale.ROOT),
                            note("PostTorque.no-table-holds"),
                            CREEPS))
                    : Optional.empty();
        }
        double nm = maker.nominalNm();
        double limit = nm < floorNm() ? floorNm() : ceilingNm();
        Verdict verdict = Verdict.PASS;
        if (nm > ceilingNm() || nm < floorNm()) {
            verdict = nm > RUIN * ceilingNm() ? Verdict.STOP : Verdict.WATCH;
        }
        return Optional.of(new Finding(
                FindingCode.POST_TORQUE,
                verdict,
                nm,
                limit,
                "N·m",
                Explanation.read(
                        creeps() ? note("PostTorque.half-to-twice") : note("PostTorque.from-half-of"),
                        term("T", nm, "N·m"),
                        term("T_min", floorNm(), "N·m"),
                        term("T_max", ceilingNm(), "N·m")),
                creeps() ? CREEPS : RANGE,
                verdict == Verdict.PASS || slip(nm).isEmpty() ? "" : note("PostTorque.meant-in", slip(nm))));
    }

    /** What a figure out of range may have been meant as: "lbf·in", where that lies within; else empty. */
    private String slip(double nm) {
        if (within(nm * POUND_INCH_NM) || within(nm / INCHES_PER_FOOT)) {
            return "lbf·in";
        }
        return within(nm * INCHES_PER_FOOT) ? "lbf·ft" : within(nm / POUND_INCH_NM) ? "N·m" : "";
    }

    private boolean within(double nm) {
        return nm >= floorNm() && nm <= ceilingNm();
    }
}
