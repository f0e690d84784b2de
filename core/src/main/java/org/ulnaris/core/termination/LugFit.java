package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Expression.PI;
import static org.ulnaris.core.finding.Expression.min;
import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.root;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * How a lug sits on a conductor and on a stud.
 *
 * <p>Bore fill = A / (π/4·ID²): 0.60–0.70 fits (DIN 46235 pairs: 0.63–0.67), below 0.55 the barrel is loose, above 0.75
 * the strands may not enter. The smallest DIN pair (6 mm²) lies at 0.53, so a loose barrel is refused below 0.50 only.
 * Contact area = π/4·(min(pad, washer)² − hole²).
 */
public final class LugFit {
    /** Bands of the bore fill. */
    public static final Bands BORE_FILL = new Bands(0.50, 0.60, 0.70, 0.75);
    /** Bundle ÷ bore up to which a twist along the lay lets it in (ours). */
    static final double BUNDLE_TWISTED_TO = 1.06;

    /** Fill below which a barrel that was not made for the size is loose (common practice). */
    static final double LOOSE_BELOW = 0.55;

    private static final double MOST_CONTACT_LOST_PERCENT = 10;
    /** More of the contact area lost is no joint (common practice). */
    private static final double HALF_LOST_PERCENT = 50;

    private final Lug lug;
    private final LugDemand demand;
    private final CableGeometry cable;
    private final Landing landing;

    private LugFit(Lug lug, LugDemand demand) {
        this.lug = lug;
        this.demand = demand;
        this.cable = demand.cable();
        this.landing = demand.landing();
    }

    /** One conductor in a dry place. */
    public static LugFit of(Lug lug, CableGeometry cable, Landing landing) {
        return new LugFit(lug, new LugDemand(cable, landing));
    }

    public static LugFit of(Lug lug, LugDemand demand) {
        return new LugFit(lug, demand);
    }

    /** Metal of all conductors in the barrel, mm². */
    public double conductorAreaMm2() {
        return demand.areaMm2();
    }

    public Lug lug() {
        return lug;
    }

    /** Conductor area ÷ bore area. */
    public static double boreFill(double conductorAreaMm2, Barrel barrel) {
        return conductorAreaMm2 / barrel.boreAreaMm2();
    }

    /** Bore fill of this pair. */
    public double boreFill() {
        return boreFill(demand.areaMm2(), lug.barrel());
    }

    /** Play of the hole on the stud, mm. */
    public double holePlayMm() {
        return holePlayMm(lug, landing);
    }

    static double holePlayMm(Lug lug, Landing landing) {
        return lug.pad().holeMm() - landing.stud().thread().diameterMm();
    }

    /** Whether the hole is the stud's own. */
    public boolean exactHole() {
        return holePlayMm() > 0 && lug.pad().holeMm() <= landing.stud().holes().fineMm() + 1e-9;
    }

    /** Whether the lug was made for this stud: of M8 and 5/16 in, each passes the other. */
    public boolean ownStud() {
        return lug.pad().stud().equals(landing.stud().name());
    }

    /** Whether the lug was made for this conductor size. */
    public boolean ownSize() {
        return demand.conductors() == 1
                && lug.forSize().equals(cable.conductor().size().designation());
    }

    /** Area that carries current between pad and landing, mm²; 0 when the hole is larger than the washer. */
    public double contactAreaMm2() {
        return contactAreaMm2(lug.pad().holeMm());
    }

    private double contactAreaMm2(double holeMm) {
        double outer = Math.min(lug.pad().widthMm(), landing.stud().hardware().washerOuterMm());
        return Math.max(0, Math.PI / 4 * (outer * outer - holeMm * holeMm));
    }

    /** Contact area lost against the stud's own hole, %. */
    public double contactLossPercent() {
        double exact = contactAreaMm2(landing.stud().holes().fineMm());
        return exact > 0 ? 100 * Math.max(0, 1 - contactAreaMm2() / exact) : 100;
    }

    /** Contact area that the next larger hole would lose against the stud's own hole, %; empty above the largest stud. */
    public OptionalDouble nextHoleLossPercent() {
        double hole = lug.pad().holeMm();
        OptionalDouble next = Studs.all().stream()
                .mapToDouble(stud -> stud.holes().fineMm())
                .filter(h -> h > hole * 1.1)
                .min();
        double exact = contactAreaMm2(landing.stud().holes().fineMm());
        return next.isPresent() && exact > 0
                ? OptionalDouble.of(100 * (1 - contactAreaMm2(next.getAsDouble()) / exact))
                : OptionalDouble.empty();
    }

    /** All checks of the fit. */
    public List<Finding> findings() {
        List<Finding> checks = new ArrayList<>();
        checks.add(boreFillFinding(demand.areaMm2(), lug.barrel()));
        checks.add(bundleFinding());
        checks.add(holeFinding());
        checks.add(contactFinding());
        landing.clearWidthMm().ifPresent(width -> checks.add(clearanceFinding(width)));
        checks.addAll(new LugFormCheck(lug, demand).findings());
        return List.copyOf(checks);
    }

    /** Verdict over all checks; quick, for a whole catalogue is ranked by it. */
    public Verdict verdict() {
        Verdict worst = BORE_FILL
                .judge(boreFill())
                .and(bundleVerdict())
                .and(holeVerdict())
                .and(contactVerdict())
                .and(new LugFormCheck(lug, demand).verdict());
        return landing.clearWidthMm().isPresent()
                ? worst.and(clearanceVerdict(landing.clearWidthMm().getAsDouble()))
                : worst;
    }

    /** How many steps the lug is away from the form that the end asks for; 0 when it meets it. */
    public int formsMissed() {
        return new LugFormCheck(lug, demand).missed();
    }

    private Verdict bundleVerdict() {
        double ratio = demand.bundleMm() / lug.barrel().boreMm();
        if (ratio <= 1) {
            return Verdict.PASS;
        }
        return ratio <= BUNDLE_TWISTED_TO ? Verdict.NOTE : Verdict.STOP;
    }

    private Verdict holeVerdict() {
        if (!(holePlayMm() > 0)) {
            return Verdict.STOP;
        }
        return lug.pad().holeMm() <= landing.stud().holes().coarseMm() + 1e-9 ? Verdict.PASS : Verdict.NOTE;
    }

    private Verdict contactVerdict() {
        double loss = contactLossPercent();
        if (loss > HALF_LOST_PERCENT) {
            return Verdict.STOP;
        }
        return loss <= MOST_CONTACT_LOST_PERCENT ? Verdict.PASS : Verdict.WATCH;
    }

    private Verdict clearanceVerdict(double clearMm) {
        return neededWidthMm() <= clearMm ? Verdict.PASS : Verdict.STOP;
    }

    /** Room that the lug takes between the walls, mm: its pad, and as much of its barrel as the walls reach along. */
    private double neededWidthMm() {
        Landing.Around around = landing.around();
        return around.leaveDeg() == 0 && around.wallReachMm().isEmpty()
                ? lug.pad().widthMm()
                : new Footprint(lug, around.leaveDeg())
                        .widthMm(around.wallReachMm().orElse(lug.pad().widthMm() / 2));
    }

    /** What a bore fill means. */
    public static Verdict boreFillVerdict(double fill) {
        return BORE_FILL.judge(fill);
    }

    /** Bore fill with its verdict, for any conductor area. */
    public static Finding boreFillFinding(double conductorAreaMm2, Barrel barrel) {
        double fill = boreFill(conductorAreaMm2, barrel);
        Explanation explanation = Explanation.of(
                term("f", fill, ""),
                term("A", conductorAreaMm2, "mm²")
                        .over(PI.over(number(4))
                                .times(term("ID", barrel.boreMm(), "mm").squared())));
        double limit = fill < BORE_FILL.passFrom() ? BORE_FILL.passFrom() : BORE_FILL.passTo();
        return new Finding(
                FindingCode.BARREL_FIT,
                BORE_FILL.judge(fill),
                fill,
                limit,
                "",
                explanation,
                new Source("DIN 46235 pairs", note("LugFit.bore-fill-0"), Confidence.OWN_MODEL));
    }

    private Finding bundleFinding() {
        Explanation explanation = Explanation.of(
                term("D", demand.bundleMm(), "mm"),
                root(number(4)
                        .times(term("A", demand.areaMm2(), "mm²"))
                        .over(PI.times(
                                term("f", CableGeometry.fill(cable.conductor().metal()), "")))));
        return new Finding(
                FindingCode.BUNDLE_ENTERS,
                bundleVerdict(),
                demand.bundleMm(),
                lug.barrel().boreMm(),
                "mm",
                explanation,
                CableGeometry.SOURCE);
    }

    private Finding holeFinding() {
        Stud.Holes holes = landing.stud().holes();
        Verdict verdict = holeVerdict();
        Explanation explanation = Explanation.of(
                term("play", holePlayMm(), "mm"),
                term("D_h", lug.pad().holeMm(), "mm")
                        .minus(term("d", landing.stud().thread().diameterMm(), "mm")));
        return new Finding(
                FindingCode.HOLE_FIT,
                verdict,
                lug.pad().holeMm(),
                verdict == Verdict.STOP ? landing.stud().thread().diameterMm() : holes.coarseMm(),
                "mm",
                explanation,
                new Source("ISO 273", note("LugFit.fine-medium-coarse"), Confidence.RECALLED_HIGH));
    }

    private Finding contactFinding() {
        double loss = contactLossPercent();
        Verdict verdict = contactVerdict();
        return new Finding(
                FindingCode.CONTACT_AREA,
                verdict,
                loss,
                verdict == Verdict.STOP ? HALF_LOST_PERCENT : MOST_CONTACT_LOST_PERCENT,
                "%",
                contactReason(),
                Source.practice(note("LugFit.the-exact-hole")));
    }

    private Explanation contactReason() {
        Term pad = term("W", lug.pad().widthMm(), "mm");
        Term washer = term("D_w", landing.stud().hardware().washerOuterMm(), "mm");
        Term hole = term("D_h", lug.pad().holeMm(), "mm");
        return contactAreaMm2() > 0
                ? Explanation.of(
                        term("A_c", contactAreaMm2(), "mm²"),
                        PI.over(number(4)).times(min(pad, washer).squared().minus(hole.squared())))
                : Explanation.read(note("LugFit.the-hole-leaves"), pad, washer, hole);
    }

    private Finding clearanceFinding(double clearMm) {
        double needed = neededWidthMm();
        Explanation explanation = Explanation.of(
                term("room", clearMm - needed, "mm"),
                term("W_clear", clearMm, "mm").minus(term("W", needed, "mm")));
        return new Finding(
                FindingCode.PAD_CLEARANCE,
                clearanceVerdict(clearMm),
                needed,
                clearMm,
                "mm",
                explanation,
                Source.practice(note("LugFit.pad-and-barrel")));
    }
}
