package org.ulnaris.core.proving;

import static org.ulnaris.core.finding.Notes.note;

import java.util.NavigableMap;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Force that a finished joint must hold for {@value #HOLD_S} s. Sizes between two rows take the row below; beyond the last row the force
 * grows with the area (ours).
 */
public final class PullTable {
    /** How long the force is held, s. */
    public static final double HOLD_S = 60;

    private static final double IEC_N_PER_MM2 = 60;
    private static final double IEC_ALUMINIUM_N_PER_MM2 = 40;
    private static final double IEC_MAX_N = 20_000;

    private static final NavigableMap<Double, Double> UL_486 = column("ul486");
    private static final NavigableMap<Double, Double> MARINE = column("marine");

    private PullTable() {}

    private static NavigableMap<Double, Double> column(String column) {
        NavigableMap<Double, Double> forces = new TreeMap<>();
        for (ReferenceTable.Row row : ReferenceTable.load("pullout.csv").rows()) {
            OptionalDouble lbf = row.optionalNumber(column);
            if (lbf.isPresent()) {
                forces.put(areaMm2(row.text("size")), Unit.POUND_FORCE.toSi(lbf.getAsDouble()));
            }
        }
        return forces;
    }

    private static double areaMm2(String size) {
        if (size.endsWith(" kcmil")) {
            return ConductorSizes.kcmil(Double.parseDouble(size.replace(" kcmil", "")))
                    .areaMm2();
        }
        int n = size.endsWith("/0") ? 1 - Integer.parseInt(size.replace("/0", "")) : Integer.parseInt(size);
        double d = ConductorSizes.awgDiameterMm(n);
        return Math.PI / 4 * d * d;
    }

    /** Force for a conductor, N: of aluminium by its area in every school, since the tables are of copper; empty below the table. */
    public static OptionalDouble forceN(Conductor conductor, PullSchool school) {
        return conductor.metal().isCopper()
                ? forceN(conductor.size(), school)
                : OptionalDouble.of(Math.min(
                        IEC_MAX_N, IEC_ALUMINIUM_N_PER_MM2 * conductor.size().areaMm2()));
    }

    /** Force for {@code size} of copper, N; empty below the table. */
    public static OptionalDouble forceN(ConductorSize size, PullSchool school) {
        if (school == PullSchool.IEC_61238) {
            return OptionalDouble.of(Math.min(IEC_MAX_N, IEC_N_PER_MM2 * size.areaMm2()));
        }
        NavigableMap<Double, Double> table = school == PullSchool.MARINE ? MARINE : UL_486;
        var row = table.floorEntry(size.areaMm2() * (1 + 1e-6));
        if (row == null) {
            return OptionalDouble.empty();
        }
        boolean beyond = row.getKey().equals(table.lastKey());
        return OptionalDouble.of(row.getValue() * (beyond ? Math.max(1, size.areaMm2() / row.getKey()) : 1));
    }

    /** Publication that the force of a conductor comes from. */
    public static Source source(Conductor conductor, PullSchool school) {
        return conductor.metal().isCopper()
                ? source(school)
                : new Source("IEC 61238-1", note("PullTable.aluminium"), Confidence.RECALLED_MEDIUM);
    }

    /** Publication of a school. */
    public static Source source(PullSchool school) {
        return switch (school) {
            case UL_486 -> new Source("UL 486A-486B", note("PullTable.pull-out-force"), Confidence.RECALLED_HIGH);
            case MARINE ->
                new Source(note("Source.practice"), note("PullTable.small-craft"), Confidence.RECALLED_MEDIUM);
            case IEC_61238 -> new Source("IEC 61238-1", note("PullTable.at-most"), Confidence.RECALLED_MEDIUM);
        };
    }
}
