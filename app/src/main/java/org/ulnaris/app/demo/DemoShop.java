package org.ulnaris.app.demo;

import java.time.Clock;
import java.util.Map;
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
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;

/** The made-up shop Lantern Yard with three made-up jobs; put into an empty database before the demonstration answers. */
@Component
@ConditionalOnProperty("ulnaris.demo")
@Lazy(false)
class DemoShop implements SmartInitializingSingleton {
    private static final Map<String, Shelf.Count> SHELF = Map.ofEntries(
            counted("DIN 70 · M8", 14, 4),
            counted("DIN 70 · M10", 6, 4),
            counted("DIN 35 · M8", 9, 0),
            counted("DIN 16 · M6", 22, 10),
            counted("DIN 16 · M8", 17, 0),
            counted("KU 70 upright · M8", 2, 4),
            counted("HW 2/0 · 5/16", 8, 0),
            counted("HW 2/0 · 3/8", 5, 0),
            counted("TP wren 16", 4, 0),
            counted("cable 70 mm²", 11, 5),
            counted("cable 35 mm²", 26, 10),
            counted("cable 16 mm²", 48, 20),
            counted("cable 2/0 AWG", 7, 0),
            counted("sleeve 24/6", 6, 4),
            counted("sleeve 12/3", 3, 4),
            counted("fuse class T 200 A", 1, 1),
            counted("nut M8", 60, 40),
            counted("nut M10", 35, 20));

    private static Map.Entry<String, Shelf.Count> counted(String code, int pieces, int least) {
        return Map.entry(code, new Shelf.Count(pieces, least));
    }

    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final MakeService make;
    private final CribService crib;
    private final LoadsService loads;
    private final Shelf shelf;
    private final Clock clock;

    DemoShop(
            JobService jobs,
            CableService cables,
            MatchService match,
            MakeService make,
            CribService crib,
            LoadsService loads,
            Shelf shelf,
            Clock clock) {
        this.clock = clock;
        this.shelf = shelf;
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
        new DemoCrib(crib, clock).fill();
        shelf.replace(SHELF);
        DemoJob.Shop shop = new DemoJob.Shop(cables, match, loads);
        Frostline.fill(new DemoJob(jobs.create(Frostline.DETAILS), shop));
        Sandpiper.fill(new DemoJob(jobs.create(Sandpiper.DETAILS), shop));
        Cable begun = LanternCart.fill(new DemoJob(jobs.create(LanternCart.DETAILS), shop));
        make.done(begun.id(), BuildStep.keyed("check").orElseThrow());
        make.read(
                begun.id(),
                BuildStep.keyed("cut").orElseThrow(),
                ReadingKind.CUT_LENGTH,
                plan -> Math.ceil(plan.plannedCutMm()));
        make.done(begun.id(), BuildStep.keyed("thread").orElseThrow());
    }
}
