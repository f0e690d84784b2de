package org.ulnaris.core.conductor;

import static org.ulnaris.core.finding.Notes.note;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Direct-current resistance of a stranded conductor.
 *
 * <p>Metric sizes: IEC 60228 class 5, at 20 °C. AWG sizes: ρ20 · k_lay / A with ρ20 = 1/58 Ω·mm²/m (IEC 60028) and a lay
 * factor k_lay of {@value #LAY_FACTOR}; tinned strands × the coated ÷ uncoated ratio of NEC chapter 9 table 8 for that
 * size. At θ °C: R20 · (1 + α · (θ − 20)), α = {@value #ALPHA_PER_K} 1/K.
 *
 * <p>Aluminium: IEC 60228 class 2 from 10 mm² on; other sizes by ρ20 of IEC 60889 in the same way. Copper-clad aluminium: as copper, over
 * the share of copper's conductivity that ASTM B566 gives for class 10A.
 */
public final class ConductorResistance {
    /** Temperature coefficient of copper at 20 °C, 1/K (IEC 60028). */
    public static final double ALPHA_PER_K = 0.00393;
    /** Resistivity of annealed copper at 20 °C, Ω·mm²/m (IEC 60028). */
    public static final double RHO20_OHM_MM2_PER_M = 1.0 / 58.0;
    /** How much longer a strand is than its cable. */
    public static final double LAY_FACTOR = 1.02;

    /** IEC 60228 prints maxima; a gauge's maximum ÷ its nominal is this (ASTM B8, recalled). */
    private static final double AWG_MOST = 1.02;

    /** Tinned ÷ plain below 18 AWG: as of 18 AWG. */
    private static final double THIN_TINNED = 8.45 / 7.95;

    private static final Map<Conductor, Double> OHM_PER_M_AT_20 = new HashMap<>();
    private static final Source METRIC_SOURCE;

    static {
        ReferenceTable metric = ReferenceTable.load("iec-60228-class5.csv");
        METRIC_SOURCE = metric.source();
        Stream.concat(metric.rows().stream(), ReferenceTable.load("thin-conductors.csv").rows().stream())
                .forEach(row -> {
                    ConductorSize size = ConductorSizes.parse(row.text("size"), SizeSeries.METRIC);
                    OHM_PER_M_AT_20.put(new Conductor(size, false), row.number("plain") / 1000);
                    OHM_PER_M_AT_20.put(new Conductor(size, true), row.number("tinned") / 1000);
                });
        for (ConductorSize size : ConductorSizes.thin(SizeSeries.AWG)) {
            double plain = RHO20_OHM_MM2_PER_M * LAY_FACTOR / size.areaMm2();
            OHM_PER_M_AT_20.put(new Conductor(size, false), plain);
            OHM_PER_M_AT_20.put(new Conductor(size, true), plain * THIN_TINNED);
        }
        for (ReferenceTable.Row row :
                ReferenceTable.load("nec-chapter9-table8.csv").rows()) {
            ConductorSize size = ConductorSizes.parse(row.text("size"), SizeSeries.AWG);
            double plain = RHO20_OHM_MM2_PER_M * LAY_FACTOR / size.areaMm2();
            OHM_PER_M_AT_20.put(new Conductor(size, false), plain);
            OHM_PER_M_AT_20.put(new Conductor(size, true), plain * row.number("coated") / row.number("uncoated"));
        }
        addOthers();
    }

    /** Finer than IEC 60228 prints aluminium: what its thinnest row has over ρ·k_lay/A. */
    private static final double THIN_ALUMINIUM = 1.08;

    private static void addOthers() {
        Map<String, Double> printed = new HashMap<>();
        ReferenceTable.load("iec-60228-aluminium.csv")
                .rows()
                .forEach(row -> printed.put(row.text("size"), row.number("plain") / 1000));
        for (Conductor copper : List.copyOf(OHM_PER_M_AT_20.keySet())) {
            if (copper.metal() == ConductorMetal.COPPER) {
                ConductorSize size = copper.size();
                double own = Material.ALUMINIUM.ohmMetreAt20() * 1e6 * LAY_FACTOR / size.areaMm2();
                boolean metric = size.series() == SizeSeries.METRIC;
                double aluminium = metric ? printed.getOrDefault(size.name(), THIN_ALUMINIUM * own) : own;
                OHM_PER_M_AT_20.put(new Conductor(size, ConductorMetal.ALUMINIUM), aluminium);
                OHM_PER_M_AT_20.put(
                        new Conductor(size, ConductorMetal.COPPER_CLAD),
                        ohmPerMetreAt20(copper) / Identification.COPPER_CLAD_SHARE);
            }
        }
    }

    private ConductorResistance() {}

    /** Resistance per metre at 20 °C, Ω/m. */
    public static double ohmPerMetreAt20(Conductor conductor) {
        Double ohm = OHM_PER_M_AT_20.get(conductor);
        if (ohm == null) {
            throw new IllegalArgumentException(
                    "no resistance for " + conductor.size().designation());
        }
        return ohm;
    }

    /** Highest resistance per metre that its standard allows at 20 °C, Ω/m. */
    public static double mostOhmPerMetreAt20(Conductor conductor) {
        double allowance = conductor.size().series() == SizeSeries.METRIC ? 1 : AWG_MOST;
        return ohmPerMetreAt20(conductor) * allowance;
    }

    /** Factor on the 20 °C resistance of copper at {@code temperatureC}. */
    public static double temperatureFactor(double temperatureC) {
        return temperatureFactor(ConductorMetal.COPPER, temperatureC);
    }

    /** Factor on the 20 °C resistance at {@code temperatureC}. */
    public static double temperatureFactor(ConductorMetal metal, double temperatureC) {
        return 1 + metal.alphaPerK() * (temperatureC - 20);
    }

    /** Resistance per metre at {@code temperatureC}, Ω/m. */
    public static double ohmPerMetre(Conductor conductor, double temperatureC) {
        return ohmPerMetreAt20(conductor) * temperatureFactor(conductor.metal(), temperatureC);
    }

    /** Where the resistance of {@code conductor} comes from. */
    public static Source source(Conductor conductor) {
        return switch (conductor.metal()) {
            case COPPER, TINNED -> source(conductor.size().series());
            case ALUMINIUM ->
                new Source(
                        "IEC 60228, IEC 60889",
                        note("ConductorResistance.class-2-aluminium"),
                        Confidence.RECALLED_HIGH);
            case COPPER_CLAD ->
                new Source("ASTM B566", note("ConductorResistance.class-10a-0"), Confidence.RECALLED_MEDIUM);
        };
    }

    /** Where the resistance of copper in sizes of {@code series} comes from. */
    public static Source source(SizeSeries series) {
        return series == SizeSeries.METRIC
                ? METRIC_SOURCE
                : new Source(
                        "IEC 60028, ASTM B258",
                        note("ConductorResistance.resistivity-at-20"),
                        Confidence.RECALLED_HIGH);
    }
}
