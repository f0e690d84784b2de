package org.ulnaris.core.sizing;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rating.TableRating;

/**
 * A size with everything looked up for it.
 *
 * @param conductor the conductor
 * @param ohmPerMetreAt20 its resistance at 20 °C, Ω/m
 * @param rating the table's figure; null where the table has none
 */
record SizeData(
        Conductor conductor,
        double ohmPerMetreAt20,
        @Nullable TableRating rating) {
    private record Key(RuleSet ruleSet, SizeSeries series, ConductorMetal metal, double columnTempC) {}

    private static final Map<Key, List<SizeData>> RESOLVED = new ConcurrentHashMap<>();

    /** All sizes that {@code demand} may choose from, thin to thick. */
    static List<SizeData> resolve(CableDemand demand, double columnTempC) {
        Key key = new Key(demand.ruleSet(), demand.series(), demand.metal(), columnTempC);
        List<SizeData> known = RESOLVED.get(key);
        return known != null ? known : RESOLVED.computeIfAbsent(key, SizeData::lookUp);
    }

    private static List<SizeData> lookUp(Key key) {
        return ConductorSizes.of(key.series).stream().map(size -> of(key, size)).toList();
    }

    private static SizeData of(Key key, ConductorSize size) {
        Conductor conductor = new Conductor(size, key.metal);
        return new SizeData(
                conductor,
                ConductorResistance.ohmPerMetreAt20(conductor),
                key.ruleSet.method().rating(conductor, key.columnTempC));
    }

    /** One size, whether or not {@code demand} may choose it. */
    static SizeData of(CableDemand demand, double columnTempC, ConductorSize size) {
        return of(new Key(demand.ruleSet(), demand.series(), demand.metal(), columnTempC), size);
    }
}
