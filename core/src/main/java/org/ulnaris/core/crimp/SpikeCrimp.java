package org.ulnaris.core.crimp;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Barrel;

/**
 * A barrel pressed by a spike instead of closed dies (ours): what the spike takes from the tube's circle is what compaction comes from,
 * c = (π/4·OD² − A_spike)/M. An indent's spike is a flat bar, A = b·h; a hammer tool's a wedge of 60°, A = h²·tan 30°. What can be
 * measured is the thickness left across the spike, OD − h.
 *
 * @param conductorAreaMm2 conductor area, mm²
 * @param barrel the lug's tube
 * @param spike the tool's spike
 */
public record SpikeCrimp(double conductorAreaMm2, Barrel barrel, Spike spike) {
    /** The wall takes no deeper spike than leaves this share of the outside (ours): beyond it is cut. */
    static final double LEAST_THICKNESS = 0.45;

    private static final int HALVINGS = 50;
    private static final double WEDGE = Math.tan(Math.toRadians(30));

    /** Form of a spike. */
    public enum Form {
        /** A flat bar: indent tools. */
        BAR,
        /** A wedge of 60°: hammer tools. */
        WEDGE
    }

    /**
     * A spike with its dial.
     *
     * @param form its form
     * @param widthMm width of a bar across the barrel, mm; of no matter to a wedge
     * @param dial what a setting of the tool means
     */
    public record Spike(Form form, double widthMm, Dial dial) {
        public static final Range WIDTH_MM = new Range(0, 40);

        public Spike {
            WIDTH_MM.check("widthMm", widthMm);
        }
    }

    /**
     * The scale of an indent tool: depth = atZero + perMark·setting.
     *
     * @param atZeroMm depth at the mark 0, mm; negative where the spike then stands clear
     * @param perMarkMm depth of one mark or turn, mm
     */
    public record Dial(double atZeroMm, double perMarkMm) {
        public static final Range AT_ZERO_MM = new Range(-50, 50);
        public static final Range PER_MARK_MM = new Range(0, 20);
        /** A tool without a scale: the depth itself. */
        public static final Dial NONE = new Dial(0, 1);

        public Dial {
            AT_ZERO_MM.check("atZeroMm", atZeroMm);
            PER_MARK_MM.check("perMarkMm", perMarkMm);
        }

        /** Setting for a depth. */
        public double setting(double depthMm) {
            return (depthMm - atZeroMm) / perMarkMm;
        }
    }

    public SpikeCrimp {
        Crimp.CONDUCTOR_AREA_MM2.check("conductorAreaMm2", conductorAreaMm2);
    }

    private double circleMm2() {
        return Math.PI / 4 * barrel.outerMm() * barrel.outerMm();
    }

    /** Metal in the section, mm². */
    double metalMm2() {
        return barrel.wallAreaMm2() + conductorAreaMm2;
    }

    /** Compaction at a depth. */
    public double compaction(double depthMm) {
        return (circleMm2() - takenMm2(depthMm)) / metalMm2();
    }

    /** What the spike takes from the tube's circle at a depth below its top, mm². */
    double takenMm2(double depthMm) {
        double radius = barrel.outerMm() / 2;
        double depth = Math.min(depthMm, 2 * radius);
        return spike.form() == Form.BAR ? bar(radius, depth) : wedge(radius, depth);
    }

    /** Bar times depth, less the air above the round top. */
    private double bar(double radius, double depth) {
        double touched = Math.sqrt(Math.max(0, radius * radius - (radius - depth) * (radius - depth)));
        double half = Math.min(spike.widthMm() / 2, depth < radius ? touched : radius);
        double air = 2 * half * radius
                - half * Math.sqrt(Math.max(0, radius * radius - half * half))
                - radius * radius * Math.asin(Math.min(1, half / radius));
        return 2 * half * depth - air;
    }

    /** The sector of the circle above the wedge's flanks, less the two triangles down to the centre. */
    private static double wedge(double radius, double depth) {
        double low = 0;
        double high = Math.PI / 2;
        for (int i = 0; i < HALVINGS; i++) {
            double angle = (low + high) / 2;
            boolean inside = radius * Math.sin(angle) < (radius * Math.cos(angle) - radius + depth) * WEDGE;
            low = inside ? angle : low;
            high = inside ? high : angle;
        }
        return radius * radius * low - (radius - depth) * radius * Math.sin(low);
    }

    /** The section at the best depth. */
    public CrimpSection section() {
        return SpikeSection.of(this, bestDepthMm());
    }

    /** Depth that reaches {@code compaction}, mm; 0 where the tube's circle is below it already. */
    public double depthMm(double compaction) {
        double taken = circleMm2() - compaction * metalMm2();
        double low = 0;
        double high = barrel.outerMm();
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            low = takenMm2(middle) < taken ? middle : low;
            high = takenMm2(middle) < taken ? high : middle;
        }
        return taken > 0 ? low : 0;
    }

    /** Depth for the middle of the sound band, mm. */
    public double bestDepthMm() {
        return depthMm(DieChooser.BEST_COMPACTION);
    }

    /** Setting of the dial for it. */
    public double setting() {
        return spike.dial().setting(bestDepthMm());
    }

    /** Thickness across the spike to be measured after the crimp, mm. */
    public double thicknessMm() {
        return barrel.outerMm() - bestDepthMm();
    }

    /** Whether the wall stands the depth. */
    public Finding finding() {
        double least = LEAST_THICKNESS * barrel.outerMm();
        return new Finding(
                FindingCode.SPIKE_DEPTH,
                thicknessMm() >= least ? Verdict.PASS : Verdict.STOP,
                thicknessMm(),
                least,
                "mm",
                Explanation.of(
                        term("t", thicknessMm(), "mm"),
                        term("OD", barrel.outerMm(), "mm").minus(term("h", bestDepthMm(), "mm"))),
                Source.own(note("SpikeCrimp.depth-of-a")));
    }
}
