package org.ulnaris.core.proving;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/** Judges the readings taken at the bench. */
public final class Acceptance {
    /** Strip length: this much off passes, mm (common practice: no more than a sliver of copper). */
    static final double STRIP_PASS_MM = 1;
    /** Longer by up to this much is safe under the sleeve, mm; shorter is not, for crimps miss copper. */
    static final double STRIP_LONG_MM = 3;
    /** Gap beyond the growth that still passes, mm. */
    static final double GAP_PASS_MM = 1;
    /** Gap beyond the growth up to which the sleeve covers it, mm. */
    static final double GAP_WATCH_MM = 3;
    /** Cut length: shorter by up to this passes, mm. */
    public static final double CUT_SHORT_MM = 2;
    /** Tolerance across flats up to {@value #FLATS_STEP_MM} mm, mm (ours). */
    static final double FLATS_TOLERANCE_MM = 0.2;
    /** Tolerance across flats above it, mm (ours). */
    static final double WIDE_FLATS_TOLERANCE_MM = 0.3;

    static final double FLATS_STEP_MM = 16;

    private Acceptance() {}

    /** Cable as cut against the cut length, both mm: what is too long can be cut again, too short cannot. */
    public static Finding cutLength(double targetMm, double slackMm, double measuredMm) {
        double short_ = targetMm - measuredMm;
        Verdict verdict = Verdict.PASS;
        if (short_ > Math.max(slackMm, CUT_SHORT_MM)) {
            verdict = Verdict.STOP;
        } else if (short_ > CUT_SHORT_MM || -short_ > Math.max(slackMm, CUT_SHORT_MM)) {
            verdict = Verdict.WATCH;
        }
        Explanation explanation = Explanation.of(
                term("short", short_, "mm"), term("L_cut", targetMm, "mm").minus(term("L", measuredMm, "mm")));
        return new Finding(
                FindingCode.CUT_LENGTH,
                verdict,
                measuredMm,
                targetMm,
                "mm",
                explanation,
                Source.practice(note("Acceptance.the-slack-covers")));
    }

    /** Bare copper against the strip length, both mm. */
    public static Finding stripLength(double targetMm, double measuredMm) {
        Bands bands = new Bands(
                targetMm - STRIP_PASS_MM, targetMm - STRIP_PASS_MM, targetMm + STRIP_PASS_MM, targetMm + STRIP_LONG_MM);
        Explanation explanation = Explanation.of(
                term("off", measuredMm - targetMm, "mm"),
                term("s", measuredMm, "mm").minus(term("s_plan", targetMm, "mm")));
        return new Finding(
                FindingCode.STRIP_LENGTH,
                bands.judge(measuredMm),
                measuredMm,
                targetMm,
                "mm",
                explanation,
                Source.practice(note("Acceptance.short-strips-are")));
    }

    /** Strands lost of {@code total}. */
    public static Finding strandsLost(int lost, int total) {
        int allowed = StrandDamage.allowed(total);
        Verdict verdict = Verdict.STOP;
        if (lost == 0) {
            verdict = Verdict.PASS;
        } else if (lost <= allowed) {
            verdict = Verdict.NOTE;
        }
        Explanation explanation = Explanation.of(
                term("left", 100 * (1 - (double) lost / total), "%"),
                number(1).minus(term("lost", lost, "").over(term("total", total, ""))));
        return new Finding(FindingCode.STRANDS_LOST, verdict, lost, allowed, "", explanation, StrandDamage.source());
    }

    /** Width across two flats of the crimp, mm, against the closed die. */
    public static Finding acrossFlats(Die die, double measuredMm) {
        double tolerance = die.acrossFlatsMm() <= FLATS_STEP_MM ? FLATS_TOLERANCE_MM : WIDE_FLATS_TOLERANCE_MM;
        double low = die.acrossFlatsMm() - tolerance - 1e-9;
        double high = die.acrossFlatsMm() + tolerance + 1e-9;
        Explanation explanation = Explanation.of(
                term("off", measuredMm - die.acrossFlatsMm(), "mm"),
                term("AF_read", measuredMm, "mm").minus(term("AF", die.acrossFlatsMm(), "mm")));
        return new Finding(
                FindingCode.ACROSS_FLATS,
                new Bands(low, low, high, high).judge(measuredMm),
                measuredMm,
                die.acrossFlatsMm(),
                "mm",
                explanation,
                Source.own(note("Acceptance.0-2-mm")));
    }

    /** Gap between barrel and insulation after the crimp, mm, against the growth expected. */
    public static Finding crimpGap(double expectedMm, double measuredMm) {
        Bands bands = new Bands(0, 0, expectedMm + GAP_PASS_MM, expectedMm + GAP_WATCH_MM);
        Explanation explanation = Explanation.of(
                term("off", measuredMm - expectedMm, "mm"),
                term("g", measuredMm, "mm").minus(term("g_plan", expectedMm, "mm")));
        return new Finding(
                FindingCode.CRIMP_GAP,
                bands.judge(measuredMm),
                measuredMm,
                expectedMm,
                "mm",
                explanation,
                Source.practice(note("Acceptance.a-small-gap")));
    }

    /** Pull force reached, N, against what the table asks of {@code conductor}; open where it has no figure. */
    public static Finding pullForce(Conductor conductor, PullSchool school, double forceN) {
        OptionalDouble required = PullTable.forceN(conductor, school);
        double limit = required.orElse(0);
        Explanation explanation = Explanation.read(
                note("Acceptance.table-of-pull"),
                term("A", conductor.size().areaMm2(), "mm²"),
                term("F_min", limit, "N"));
        Verdict reached = forceN >= limit * (1 - 1e-6) ? Verdict.PASS : Verdict.STOP;
        return new Finding(
                FindingCode.PULL_FORCE,
                required.isEmpty() ? Verdict.OPEN : reached,
                forceN,
                limit,
                "N",
                explanation,
                PullTable.source(conductor, school));
    }

    /** How long the pull was held, s. */
    public static Finding holdTime(double seconds) {
        Explanation explanation = Explanation.read(
                note("Acceptance.time-held"), term("t", seconds, "s"), term("t_min", PullTable.HOLD_S, "s"));
        return new Finding(
                FindingCode.HOLD_TIME,
                seconds >= PullTable.HOLD_S ? Verdict.PASS : Verdict.STOP,
                seconds,
                PullTable.HOLD_S,
                "s",
                explanation,
                PullTable.source(PullSchool.MARINE));
    }

    /**
     * Torque at the click, N·m. Only the device's maker knows what his stud takes: by a table it stays open, unless it draws the stud
     * beyond its proof load.
     *
     * @param joint the nut on its stud; null where nothing is known of it
     */
    public static Finding torque(@Nullable TorqueSpec spec, @Nullable BoltedJoint joint, double torqueNm) {
        if (spec != null && spec.isFromTable()) {
            return byTable(spec, joint, torqueNm);
        }
        if (spec == null) {
            return new Finding(
                    FindingCode.TORQUE,
                    Verdict.OPEN,
                    torqueNm,
                    0,
                    "N·m",
                    Explanation.words(note("Acceptance.no-table-holds")),
                    Source.deviceMaker());
        }
        double low = spec.minNm() * (1 - 1e-9);
        double high = spec.maxNm() * (1 + 1e-9);
        Explanation explanation = Explanation.read(
                note("Acceptance.between-the-least"),
                term("T", torqueNm, "N·m"),
                term("T_min", spec.minNm(), "N·m"),
                term("T_max", spec.maxNm(), "N·m"));
        return new Finding(
                FindingCode.TORQUE,
                new Bands(low, low, high, high).judge(torqueNm),
                torqueNm,
                torqueNm < spec.nominalNm() ? spec.minNm() : spec.maxNm(),
                "N·m",
                explanation,
                spec.source());
    }

    private static Finding byTable(TorqueSpec spec, @Nullable BoltedJoint joint, double torqueNm) {
        double proofNm = joint == null ? Double.POSITIVE_INFINITY : joint.proofNm();
        if (torqueNm > proofNm) {
            return new Finding(
                    FindingCode.TORQUE,
                    Verdict.STOP,
                    torqueNm,
                    proofNm,
                    "N·m",
                    Explanation.read(
                            note("Acceptance.beyond-proof"),
                            term("T", torqueNm, "N·m"),
                            term("T_proof", proofNm, "N·m")),
                    BoltedJoint.SOURCE);
        }
        Explanation explanation = Explanation.read(
                note("Acceptance.maker-first"), term("T", torqueNm, "N·m"), term("T_table", spec.nominalNm(), "N·m"));
        return new Finding(
                FindingCode.TORQUE, Verdict.OPEN, torqueNm, spec.nominalNm(), "N·m", explanation, spec.source());
    }

    /** What the eye sees of a finished crimp: {@code code} is one of the looks. */
    public static Finding look(FindingCode code, boolean good) {
        return new Finding(
                code,
                good ? Verdict.PASS : Verdict.STOP,
                good ? 1 : 0,
                1,
                "",
                Explanation.words(note("Acceptance.seen-at-the")),
                Source.practice(note("Acceptance.look-index-in")));
    }

    /** Whether the witness line is drawn. */
    public static Finding witnessMark(boolean drawn) {
        Explanation explanation = Explanation.words(note("Acceptance.a-line-across"));
        return new Finding(
                FindingCode.WITNESS_MARK,
                drawn ? Verdict.PASS : Verdict.WATCH,
                drawn ? 1 : 0,
                1,
                "",
                explanation,
                Source.practice(note("Acceptance.a-witness-line")));
    }
}
