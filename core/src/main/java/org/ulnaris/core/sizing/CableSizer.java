package org.ulnaris.core.sizing;

import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.rating.Derating;

/** Sizes a cable: every size of the series against every check, the heat balance and the protection too. */
public final class CableSizer {
    private CableSizer() {}

    /** One size against every check, whether or not the ladder holds it. */
    public static Rung rung(CableDemand demand, ConductorSize size) {
        Derating derating = demand.ruleSet().method().derate(demand.conditions());
        return new Rung(demand, SizeData.of(demand, derating.columnTempC(), size), derating);
    }

    /** The ladder for {@code demand}. */
    public static SizingResult size(CableDemand demand) {
        return size(demand, null);
    }

    /** The same, with nothing thinner than {@code least} proposed; null for any. */
    static SizingResult size(CableDemand demand, @Nullable ConductorSize least) {
        Derating derating = demand.ruleSet().method().derate(demand.conditions());
        List<SizeData> sizes = SizeData.resolve(demand, derating.columnTempC());
        List<Rung> rungs =
                sizes.stream().map(size -> new Rung(demand, size, derating)).toList();
        Predicate<Rung> thick = rung -> least == null || rung.size().areaMm2() >= least.areaMm2();
        int clean = demand.policy().cleanPass() ? first(rungs, thick.and(Rung::clean)) : -1;
        int stands = clean >= 0 ? clean : first(rungs, thick.and(Rung::stands));
        return new SizingResult(demand, rungs, stands >= 0 ? stands : last(rungs, Rung::mayStand));
    }

    /** While nobody says what its terminals stand, the thickest keeps them coolest. */
    private static int last(List<Rung> rungs, Predicate<Rung> good) {
        for (int i = rungs.size() - 1; i >= 0; i--) {
            if (good.test(rungs.get(i))) {
                return i;
            }
        }
        return -1;
    }

    private static int first(List<Rung> rungs, Predicate<Rung> good) {
        for (int i = 0; i < rungs.size(); i++) {
            if (good.test(rungs.get(i))) {
                return i;
            }
        }
        return -1;
    }
}
