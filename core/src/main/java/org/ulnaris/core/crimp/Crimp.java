package org.ulnaris.core.crimp;

import static org.ulnaris.core.finding.Expression.PI;
import static org.ulnaris.core.finding.Expression.floor;
import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Constant;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.DieMark;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A conductor in a barrel under a pair of dies.
 *
 * <p>Metal M = wall + conductor; compaction c = die area / M. Crimps that fit: ⌊(usable + gap)/(die width + gap)⌋ with
 * {@value #CLEAR_MM} mm clear of mouth and slope and {@value #GAP_MM} mm between. Metal that the die displaces, down to
 * {@link CrimpBand#HARD_BELOW}, lengthens the barrel: growth = (1/max(c, 0.82) − 1)·width·crimps, for its volume stays; what is displaced beyond goes
 * into two wings at the parting line (ours).
 *
 * @param conductorAreaMm2 conductor area, mm²
 * @param barrel the lug's tube
 * @param die the dies
 * @param rule whether marks or the computation decide
 */
public record Crimp(double conductorAreaMm2, Barrel barrel, Die die, MarkRule rule) {
    /** Range of {@link #conductorAreaMm2}, mm². */
    public static final Range CONDUCTOR_AREA_MM2 = new Range(0, 1000);
    /** Kept clear of the mouth and of the slope of the pad, mm. */
    public static final double CLEAR_MM = 2;
    /** Between two crimps, mm. */
    public static final double GAP_MM = 2;

    private static final Source COMPACTION_SOURCE =
            new Source(note("Crimp.ulnaris-model-after"), note("Crimp.bands-of-die"), Confidence.OWN_MODEL);

    public Crimp {
        CONDUCTOR_AREA_MM2.check("conductorAreaMm2", conductorAreaMm2);
    }

    /** Under the usual rule: marks decide where there are any. */
    public Crimp(double conductorAreaMm2, Barrel barrel, Die die) {
        this(conductorAreaMm2, barrel, die, MarkRule.MARKS);
    }

    /** Whether lug and dies bear one mark of one series, and the conductor is one that the lug is made for. */
    public boolean marksBelong() {
        DieMark mark = barrel.mark();
        return mark != null && mark.equals(die.mark()) && LugFit.boreFillVerdict(boreFill()) != Verdict.STOP;
    }

    private boolean marksDiffer() {
        return barrel.mark() != null && die.mark() != null && !marksBelong();
    }

    /** What the house's rule makes of marks and compaction. */
    public Verdict compactionVerdict() {
        Verdict computed = band().verdict();
        if (rule == MarkRule.MARKS && marksBelong()) {
            return computed == Verdict.PASS ? Verdict.PASS : Verdict.NOTE;
        }
        return rule == MarkRule.BOTH && marksDiffer() && computed != Verdict.STOP ? Verdict.WATCH : computed;
    }

    /** Conductor area ÷ bore area. */
    public double boreFill() {
        return LugFit.boreFill(conductorAreaMm2, barrel);
    }

    /** Metal in the section: wall and conductor, mm². */
    public double metalMm2() {
        return barrel.wallAreaMm2() + conductorAreaMm2;
    }

    /** Die area ÷ metal. */
    public double compaction() {
        return die.areaMm2() / metalMm2();
    }

    public CrimpBand band() {
        return CrimpBand.of(compaction());
    }

    /** Section of each of the two wings, mm². */
    public double wingAreaMm2() {
        return Math.max(0, CrimpBand.HARD_BELOW - compaction()) * metalMm2() / 2;
    }

    private double usableMm() {
        return barrel.depthMm() - 2 * CLEAR_MM;
    }

    /** How many crimps the barrel has room for. */
    public int crimps() {
        return Math.max(0, (int) Math.floor((usableMm() + GAP_MM) / (die.widthMm() + GAP_MM) + 1e-9));
    }

    /** Centre of each crimp, mm from the mouth of the barrel, nearest the pad first, spread over the usable length. */
    public List<Double> positionsMm() {
        int n = crimps();
        List<Double> positions = new ArrayList<>(n);
        double first = CLEAR_MM + die.widthMm() / 2;
        double span = usableMm() - die.widthMm();
        for (int i = n - 1; i >= 0; i--) {
            positions.add(n == 1 ? barrel.depthMm() / 2 : first + i * span / (n - 1));
        }
        return List.copyOf(positions);
    }

    /** How much longer the barrel is after all crimps, mm. */
    public double growthMm() {
        double lengthening = 1 / Math.max(compaction(), CrimpBand.HARD_BELOW) - 1;
        return Math.max(0, lengthening) * die.widthMm() * crimps();
    }

    /** All checks of the crimp. */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        findings.add(LugFit.boreFillFinding(conductorAreaMm2, barrel));
        findings.add(compactionFinding());
        findings.add(countFinding());
        if (materialVerdict() != Verdict.PASS) {
            findings.add(materialFinding());
        }
        return List.copyOf(findings);
    }

    /** Verdict over all checks. */
    public Verdict verdict() {
        return Verdict.worstOf(findings());
    }

    /** Whether a crimp has room. */
    Verdict countVerdict() {
        return crimps() >= 1 ? Verdict.PASS : Verdict.STOP;
    }

    /** Whether the dies are made for the lug's metal; aluminium wants its inhibitor. */
    Verdict materialVerdict() {
        if (die.material() != barrel.material()) {
            return Verdict.STOP;
        }
        return barrel.material() == LugMaterial.ALUMINIUM ? Verdict.NOTE : Verdict.PASS;
    }

    private Finding compactionFinding() {
        double c = compaction();
        double limit = c > CrimpBand.LIGHT_ABOVE ? CrimpBand.LIGHT_ABOVE : CrimpBand.HARD_BELOW;
        Term outer = term("OD", barrel.outerMm(), "mm");
        Term bore = term("ID", barrel.boreMm(), "mm");
        Explanation explanation = Explanation.of(
                term("c", c, ""),
                new Constant("0.8660")
                        .times(term("AF", die.acrossFlatsMm(), "mm").squared())
                        .over(PI.over(number(4))
                                .times(outer.squared().minus(bore.squared()))
                                .plus(term("A", conductorAreaMm2, "mm²"))));
        DieMark mark = rule == MarkRule.MARKS && marksBelong() ? barrel.mark() : null;
        return new Finding(
                FindingCode.COMPACTION,
                compactionVerdict(),
                c,
                limit,
                "",
                explanation,
                mark == null
                        ? COMPACTION_SOURCE
                        : Source.practice(note("Crimp.one-mark", mark.system().toString())),
                mark == null ? "" : mark.index());
    }

    private Finding countFinding() {
        Term gap = term("gap", GAP_MM, "mm");
        Explanation explanation = Explanation.of(
                term("n", crimps(), ""),
                floor(term("l", barrel.depthMm(), "mm")
                        .minus(number(2).times(term("clear", CLEAR_MM, "mm")))
                        .plus(gap)
                        .over(term("w", die.widthMm(), "mm").plus(gap))));
        return new Finding(
                FindingCode.CRIMP_COUNT,
                countVerdict(),
                crimps(),
                1,
                "",
                explanation,
                Source.practice(note("Crimp.pad-end-first")));
    }

    private Finding materialFinding() {
        boolean matches = die.material() == barrel.material();
        Explanation explanation = Explanation.words(note("Crimp.a-die-is"));
        return new Finding(
                FindingCode.DIE_MATERIAL,
                materialVerdict(),
                matches ? 1 : 0,
                1,
                "",
                explanation,
                Source.practice(note("Crimp.the-die-follows")));
    }
}
