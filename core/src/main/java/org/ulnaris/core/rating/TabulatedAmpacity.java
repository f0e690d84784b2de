package org.ulnaris.core.rating;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.Material;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** What the published tables have in common: columns by insulation temperature, rows by size, a 30 °C reference. */
abstract class TabulatedAmpacity implements AmpacityMethod {
    /** Ambient that the tables are printed for, °C. */
    static final double REFERENCE_AMBIENT_C = 30;

    private static final String KCMIL = " kcmil";

    private final Table copper;
    private final @Nullable Table aluminium;
    private final Bundling bundling;
    private final ColdAir cold;

    /** Of copper only. */
    TabulatedAmpacity(String tableName, SizeSeries rowSeries, Bundling bundling, ColdAir cold) {
        this(new Table(tableName, rowSeries), null, bundling, cold);
    }

    TabulatedAmpacity(Table copper, @Nullable Table aluminium, Bundling bundling, ColdAir cold) {
        this.copper = copper;
        this.aluminium = aluminium;
        this.bundling = bundling;
        this.cold = cold;
    }

    /** A printed table: a row a size, a column an insulation temperature. */
    static final class Table {
        private final Source source;
        private final List<ConductorSize> rowSizes = new ArrayList<>();
        private final NavigableMap<Double, double[]> columns = new TreeMap<>();

        Table(String tableName, SizeSeries rowSeries) {
            ReferenceTable table = ReferenceTable.load(tableName);
            this.source = table.source();
            for (ReferenceTable.Row row : table.rows()) {
                String size = row.text("size");
                rowSizes.add(
                        size.endsWith(KCMIL)
                                ? ConductorSizes.kcmil(Double.parseDouble(size.replace(KCMIL, "")))
                                : ConductorSizes.parse(size, rowSeries));
            }
            for (String column : table.valueColumns()) {
                columns.put(
                        Double.valueOf(column),
                        table.rows().stream()
                                .mapToDouble(row -> row.optionalNumber(column).orElse(Double.NaN))
                                .toArray());
            }
        }

        @Nullable
        TableRating rating(ConductorSize size, double columnTempC) {
            double[] column = columns.get(columnTempC);
            if (column == null) {
                return null;
            }
            for (int i = rowSizes.size() - 1; i >= 0; i--) {
                ConductorSize row = rowSizes.get(i);
                if (row.areaMm2() <= size.areaMm2() * (1 + 1e-9) && column[i] > 0) {
                    boolean exact = row.equals(size);
                    return new TableRating(row, column[i], exact, i == rowSizes.size() - 1 && !exact);
                }
            }
            return null;
        }
    }

    /** Factor for an engine space in the column {@code columnTempC}. */
    abstract double engineFactor(double columnTempC);

    @Override
    public Source source() {
        return copper.source;
    }

    @Override
    public Source bundlingSource() {
        return bundling.source();
    }

    @Override
    public double upToVoltageV() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Derating derate(AmpacityConditions conditions) {
        Double column = copper.columns.floorKey(conditions.insulationTempC());
        double bundleFactor = bundling.factor(conditions.bundledConductors());
        double ambientC = cold.countedC(conditions.ambientC());
        double wall = conditions.walled() ? Derating.WALL : 1;
        if (column == null) {
            return new Derating(Double.NaN, 0, bundleFactor, 1, wall, ambientC);
        }
        double engine = conditions.engineSpace() ? engineFactor(column) : 1;
        double headroomK = Math.max(0, column - ambientC);
        double ambientFactor = Math.sqrt(headroomK / (column - REFERENCE_AMBIENT_C));
        return new Derating(column, ambientFactor, bundleFactor, engine, wall, column - headroomK * engine * engine);
    }

    @Override
    public boolean knows(ConductorMetal metal) {
        return metal.isCopper() || aluminium != null;
    }

    @Override
    public @Nullable TableRating rating(Conductor conductor, double columnTempC) {
        if (conductor.metal().isCopper()) {
            return copper.rating(conductor.size(), columnTempC);
        }
        if (aluminium != null) {
            return aluminium.rating(conductor.size(), columnTempC);
        }
        TableRating known = copper.rating(conductor.size(), columnTempC);
        return known == null
                ? null
                : new TableRating(
                        known.row(),
                        known.ampacityA() / Math.sqrt(Material.ALUMINIUM.timesCopper()),
                        known.exact(),
                        known.beyond());
    }
}
