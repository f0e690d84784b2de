package org.ulnaris.core.making;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.reference.ReferenceTable;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;

/**
 * What lies over the run of a cable: the sleeves of its tags, and the loom with the sleeves that hold its ends.
 *
 * @param tag the tube that the tags are made of; null when no size does
 * @param loom split tubing over the run; null where none is asked for or none is wide enough
 * @param loomEnd the tube that closes an end of the loom onto the cable; null without loom, or when no size does
 */
public record RunSleeves(
        @Nullable ShrinkTube tag,
        @Nullable Loom loom,
        @Nullable ShrinkTube loomEnd) {
    /** A tag as it is cut, mm (common practice: a line of print and a margin). */
    public static final double TAG_MM = 40;
    /** A sleeve over the end of a loom, half on each side, mm (common practice). */
    public static final double LOOM_END_MM = 50;

    /** What adhesive-lined sleeves work up to, °C (SAE AMS-DTL-23053/4, recalled; what is printed on them rules). */
    static final double SLEEVE_C = 110;
    /** What split tubing of polyethylene works up to, °C (common practice; nylon stands more). */
    static final double LOOM_C = 90;

    private static final double LOOM_ROOM = 1.05;
    private static final ReferenceTable TUBING = ReferenceTable.load("convoluted-tubing.csv");
    private static final List<Loom> LOOMS = TUBING.rows().stream()
            .map(row -> new Loom(row.text("name"), row.number("inner"), row.number("outer")))
            .toList();

    /**
     * Split tubing.
     *
     * @param name nominal width
     * @param innerMm inside, mm
     * @param outerMm outside, mm
     */
    public record Loom(String name, double innerMm, double outerMm) {}

    /** Sleeves from {@code tubes} for a cable of {@code cableMm}; a tag that passes {@code endMm}, the narrower end, is taken before one that does not. */
    static RunSleeves of(List<ShrinkTube> tubes, double cableMm, double endMm, boolean inLoom) {
        ShrinkTube tag = tube(tubes, Math.max(cableMm, endMm), cableMm)
                .or(() -> tube(tubes, cableMm, cableMm))
                .orElse(null);
        Loom loom = inLoom ? loom(cableMm).orElse(null) : null;
        ShrinkTube end =
                loom == null ? null : tube(tubes, loom.outerMm(), cableMm).orElse(null);
        return new RunSleeves(tag, loom, end);
    }

    private static Optional<Loom> loom(double cableMm) {
        return LOOMS.stream()
                .filter(loom -> loom.innerMm() >= LOOM_ROOM * cableMm)
                .min(Comparator.comparingDouble(Loom::innerMm));
    }

    /** The tightest tube that passes {@code overMm} and grips {@code onMm}. */
    private static Optional<ShrinkTube> tube(List<ShrinkTube> tubes, double overMm, double onMm) {
        return tubes.stream()
                .filter(tube -> tube.expandedMm() >= ShrinkChoice.PASS_FACTOR * overMm)
                .filter(tube -> tube.recoveredMm() <= ShrinkChoice.GRIP_FACTOR * onMm)
                .min(Comparator.comparingDouble(ShrinkTube::expandedMm));
    }

    /** That a conductor of {@code conductorC} is hotter than what lies over it; empty where it is not. */
    public Optional<Finding> heat(double conductorC) {
        double mostC = loom == null ? SLEEVE_C : LOOM_C;
        if (!(conductorC > mostC)) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.COVER_HEAT,
                Verdict.WATCH,
                conductorC,
                mostC,
                "°C",
                Explanation.read(
                        note("RunSleeves.a-conductor-keeps"), term("T", conductorC, "°C"), term("T_max", mostC, "°C")),
                Source.practice(note("RunSleeves.lined-sleeves-110")),
                loom == null ? note("RunSleeves.the-sleeve") : note("RunSleeves.split-tubing")));
    }

    /** Split tubing as it is sold, narrow to wide. */
    public static List<Loom> looms() {
        return LOOMS;
    }

    /** Where the sizes of looms come from. */
    public static Source source() {
        return TUBING.source();
    }
}
