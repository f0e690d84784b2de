package org.ulnaris.core.sizing;

import java.util.Arrays;
import java.util.List;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.rating.Derating;

/** Sizes a cable: every size of the series against every check, the smallest that passes them all, the heat balance too, chosen. */
public final class CableSizer {
    private CableSizer() {}

    /** One size against every check, whether or not the ladder holds it. */
    public static Rung rung(CableDemand demand, ConductorSize size) {
        Derating derating = demand.ruleSet().method().derate(demand.conditions());
        return new Rung(demand, SizeData.of(demand, derating.columnTempC(), size), derating);
    }

    /** The ladder for {@code demand}. */
    public static SizingResult size(CableDemand demand) {
        Derating derating = demand.ruleSet().method().derate(demand.conditions());
        List<SizeData> sizes = SizeData.resolve(demand, derating.columnTempC());
        Rung[] rungs = new Rung[sizes.size()];
        int chosen = -1;
        for (int i = 0; i < rungs.length; i++) {
            rungs[i] = new Rung(demand, sizes.get(i), derating);
            if (chosen < 0 && rungs[i].passes() && rungs[i].passesHeatBalance()) {
                chosen = i;
            }
        }
        return new SizingResult(demand, Arrays.asList(rungs), chosen);
    }
}
