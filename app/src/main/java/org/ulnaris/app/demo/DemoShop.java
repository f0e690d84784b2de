package org.ulnaris.app.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.rating.RuleSet;
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
        frostline();
        sandpiper();
        lanternCart();
    }

    private record Run(
            String tag, String from, String to, Polarity pole, double ampere, double metre, double percent) {}

    private Cable cable(Job job, Run run, boolean engineSpace, String studA, String studB) {
        CableDetails fresh = CableDetails.fresh(job.details(), run.tag());
        CableDetails details = new CableDetails(
                run.tag(),
                run.from(),
                run.to(),
                run.pole(),
                run.ampere(),
                run.metre(),
                run.percent(),
                105,
                job.details().kind() == JobKind.OFF_GRID ? 40 : 30,
                null,
                engineSpace,
                2,
                fresh.series(),
                fresh.tinned(),
                150,
                0,
                null,
                null,
                loads.of(job.id()).contains(run.from()));
        Cable cable = cables.create(job.id(), details);
        match.change(cable.id(), Side.A, end(studA));
        match.change(cable.id(), Side.B, end(studB));
        return cable;
    }

    private static EndDetails end(String stud) {
        return new EndDetails(stud, null, null, null, null, null, null, null);
    }

    private void lanternCart() {
        Job job = jobs.create(
                new JobDetails("Lantern Cart", JobKind.MOBILE, 24, 29.2, Units.METRIC, RuleSet.CFR_183_425));
        cartEquipment(job.id());
        Cable inverter = between(job, "INV+ BUS.bar INV.plus 1.6 2", "M8", "M8");
        between(job, "INV− INV.minus SHUNT.in 1.8 2", "M8", "M10");
        between(job, "BANK+ BANK.plus MAIN.in 0.15 1", "M8", "M8");
        between(job, "BUS+ MAIN.out BUS.bar 0.3 1", "M8", "M8");
        between(job, "BANK− SHUNT.out BANK.minus 0.4 1", "M10", "M8");
        between(job, "ALTF+ BUS.bar ALTF.in 0.1 1 35", "M8", "M6");
        between(job, "ALT+ ALT.plus ALTF.out 4.2 2", "M6", "M6");
        between(job, "ALT− ALT.minus SHUNT.in 4.2 2", "M6", "M10");
        between(job, "SHOF+ BUS.bar SHOF.in 0.1 1 35", "M8", "M6");
        between(job, "SHORE+ SHORE.plus SHOF.out 2.1 2", "M6", "M6");
        between(job, "SHORE− SHORE.minus SHUNT.in 2.1 2", "M6", "M10");
        between(job, "LAMP+ BUS.bar LAMPS.plus 6.5 3", "M8", "M5");
        between(job, "LAMP− LAMPS.minus SHUNT.in 6.5 3", "M5", "M10");
        match.change(inverter.id(), Side.A, new EndDetails("M8", 14.0, 12.0, 15.0, 26.0, 20.0, null, null));
        List.of("check", "cut", "thread")
                .forEach(key -> make.done(inverter.id(), BuildStep.keyed(key).orElseThrow()));
    }

    /** A cable whose current comes from the loads: "tag from to length drop", with its mm² where it is chosen by hand. */
    private Cable between(Job job, String run, String studA, String studB) {
        String[] part = run.split(" ");
        Polarity pole = part[0].endsWith("+") ? Polarity.POSITIVE : Polarity.NEGATIVE;
        Run typed =
                new Run(part[0], part[1], part[2], pole, 1, Double.parseDouble(part[3]), Double.parseDouble(part[4]));
        boolean hot = part[0].equals("ALT+") || part[0].equals("ALT−");
        Cable cable = cable(job, typed, hot, studA, studB);
        return part.length > 5 ? cables.change(cable.id(), cable.details().sized(part[5] + " mm²")) : cable;
    }

    private void cartEquipment(long jobId) {
        loads.add(jobId, EquipmentKind.BANK, piece("BANK", "house bank", "capacity", "100 Ah", "inParallel", "3"));
        loads.add(jobId, EquipmentKind.FUSE, piece("MAIN", "main fuse", "family", "CLASS_T", "rating", "200 A"));
        loads.add(jobId, EquipmentKind.BUS_BAR, piece("BUS", "positive bus"));
        loads.add(
                jobId,
                EquipmentKind.FUSE,
                piece("ALTF", "alternator fuse", "family", "CLASS_T", "rating", "80 A", "ohm", "0.8 mΩ"));
        loads.add(
                jobId,
                EquipmentKind.FUSE,
                piece("SHOF", "shore fuse", "family", "CLASS_T", "rating", "60 A", "ohm", "1 mΩ"));
        loads.add(jobId, EquipmentKind.SHUNT, piece("SHUNT", "battery shunt"));
        long inverter = loads.add(
                jobId,
                EquipmentKind.INVERTER,
                piece(
                        "INV",
                        "inverter 3 kVA",
                        "power",
                        "2800 W",
                        "lowest",
                        "22 V",
                        "surgePower",
                        "5600 W",
                        "surgeTime",
                        "2 s",
                        "drop",
                        "2 %"));
        long lamps = loads.add(
                jobId, EquipmentKind.ELECTRONICS, piece("LAMPS", "puppet lamp rail", "current", "22 A", "drop", "4 %"));
        long alternator =
                loads.add(jobId, EquipmentKind.ALTERNATOR, piece("ALT", "alternator charger", "current", "60 A"));
        long shore = loads.add(jobId, EquipmentKind.CHARGER, piece("SHORE", "shore charger", "current", "40 A"));
        long show = loads.addCase(jobId, "Show on the bank", 2);
        loads.changeCase(show, "Show on the bank", 2, Map.of(inverter, State.SURGE, lamps, State.ON));
        long plugged = loads.addCase(jobId, "Shore charging, lamps", 6);
        loads.changeCase(plugged, "Shore charging, lamps", 6, Map.of(shore, State.ON, lamps, State.ON));
        long driving = loads.addCase(jobId, "Driving", 3);
        loads.changeCase(driving, "Driving", 3, Map.of(alternator, State.ON));
    }

    private static Map<String, String> piece(String tag, String name, String... fields) {
        Map<String, String> typed = new HashMap<>(Map.of("tag", tag, "name", name));
        for (int i = 0; i < fields.length; i += 2) {
            typed.put(fields[i], fields[i + 1]);
        }
        return typed;
    }

    private void sandpiper() {
        Job job = jobs.create(new JobDetails("Sandpiper", JobKind.MARINE, 12, 14.4, Units.US, RuleSet.CFR_183_425));
        cable(
                job,
                new Run("CAP+", "House bank", "Capstan relay", Polarity.POSITIVE, 120, 5.5, 10),
                false,
                "5/16",
                "3/8");
        cable(
                job,
                new Run("CAP−", "Capstan", "House negative bus", Polarity.NEGATIVE, 120, 5.8, 10),
                false,
                "3/8",
                "5/16");
        cable(job, new Run("ENG1+", "Start bank", "Port engine", Polarity.POSITIVE, 210, 2.2, 10), true, "3/8", "3/8");
        cable(
                job,
                new Run("ENG2+", "Start bank", "Starboard engine", Polarity.POSITIVE, 210, 3.4, 10),
                true,
                "3/8",
                "3/8");
        cable(job, new Run("WASH+", "House bus", "Deck wash pump", Polarity.POSITIVE, 25, 4.6, 3), false, "#10", "#10");
    }

    private void frostline() {
        Job job = jobs.create(
                new JobDetails("Frostline", JobKind.OFF_GRID, 48, 57.6, Units.METRIC, RuleSet.NEC_FREE_AIR));
        cable(
                job,
                new Run("MAIN+", "Bank, class T fuse", "Bus bar", Polarity.POSITIVE, 110, 1.1, 1),
                false,
                "M8",
                "M10");
        cable(job, new Run("MAIN−", "Bank negative", "Shunt", Polarity.NEGATIVE, 110, 0.9, 1), false, "M8", "M10");
        cable(job, new Run("PV+", "Charge controller", "Bus bar", Polarity.POSITIVE, 55, 1.4, 2), false, "M6", "M10");
        cable(job, new Run("PUMP+", "Bus bar", "Frost pump drive", Polarity.POSITIVE, 32, 14, 3), false, "M10", "M6");
    }
}
