package org.ulnaris.app.demo;

import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.termination.LugMaterial;

/** The made-up shop Lantern Yard with three made-up jobs; put into an empty database before the demonstration answers. */
@Component
@ConditionalOnProperty("ulnaris.demo")
@Lazy(false)
class DemoShop implements SmartInitializingSingleton {
    private static final String[][] PRESS_DIES = {
        {"L8", "5.6"},
        {"L6", "6.5"},
        {"L4", "7.7"},
        {"L2", "9.2"},
        {"L1", "10.1"},
        {"L1/0", "11.1"},
        {"L2/0", "12.3"},
        {"L3/0", "13.7"},
        {"L4/0", "15.1"}
    };

    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final MakeService make;
    private final CribService crib;
    private final LoadsService loads;

    DemoShop(
            JobService jobs,
            CableService cables,
            MatchService match,
            MakeService make,
            CribService crib,
            LoadsService loads) {
        this.loads = loads;
        this.jobs = jobs;
        this.cables = cables;
        this.match = match;
        this.make = make;
        this.crib = crib;
    }

    @Override
    @Transactional
    public void afterSingletonsInstantiated() {
        if (!jobs.all().isEmpty()) {
            return;
        }
        crib.addStandardSet("Bench press, lever");
        for (String[] die : PRESS_DIES) {
            crib.add(
                    new Die(die[0], DieShape.HEX, Double.parseDouble(die[1]), 6, LugMaterial.COPPER),
                    "Hand hydraulic, 12 t");
        }
        DemoJob.Shop shop = new DemoJob.Shop(cables, match, loads);
        Frostline.fill(new DemoJob(jobs.create(Frostline.DETAILS), shop));
        Sandpiper.fill(new DemoJob(jobs.create(Sandpiper.DETAILS), shop));
        Cable begun = LanternCart.fill(new DemoJob(jobs.create(LanternCart.DETAILS), shop));
        for (String step : List.of("check", "cut", "thread")) {
            make.done(begun.id(), BuildStep.keyed(step).orElseThrow());
        }
    }
}
