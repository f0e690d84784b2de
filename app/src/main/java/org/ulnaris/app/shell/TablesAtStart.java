package org.ulnaris.app.shell;

import org.springframework.beans.factory.InitializingBean;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.proving.PullTable;
import org.ulnaris.core.proving.StrandDamage;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.ShrinkTube;

/** Loads every reference table when the application starts: a bad one stops it here, naming file and line. */
@Lazy(false)
@Component
class TablesAtStart implements InitializingBean {
    @Override
    public void afterPropertiesSet() {
        RuleSet.values();
        for (SizeSeries series : SizeSeries.values()) {
            ConductorResistance.ohmPerMetreAt20(
                    new Conductor(ConductorSizes.of(series).get(0), true));
            PullTable.forceN(ConductorSizes.of(series).get(0), PullSchool.UL_486);
        }
        LugCatalogue.shipped();
        ShrinkTube.shipped();
        Studs.all().forEach(TorqueSpec::byStud);
        StrandDamage.allowed(1);
    }
}
