package org.ulnaris.app.demo;

import static org.ulnaris.app.loads.EquipmentKind.BANK;
import static org.ulnaris.app.loads.EquipmentKind.BUS_BAR;
import static org.ulnaris.app.loads.EquipmentKind.FUSE;
import static org.ulnaris.app.loads.EquipmentKind.HEATER;
import static org.ulnaris.app.loads.EquipmentKind.INVERTER;
import static org.ulnaris.app.loads.EquipmentKind.MOTOR;
import static org.ulnaris.app.loads.EquipmentKind.SHUNT;
import static org.ulnaris.app.loads.EquipmentKind.SOLAR;

import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.rating.RuleSet;

/** An orchard's frost-watch hut. Its deliberate fault: a 32 V fuse in a 48 V system. */
final class Frostline {
    static final JobDetails DETAILS =
            new JobDetails("Frostline", JobKind.OFF_GRID, 48, 57.6, Units.METRIC, RuleSet.NEC_FREE_AIR, JobRules.USUAL);

    private Frostline() {}

    static void fill(DemoJob job) {
        job.piece(
                BANK,
                "BANK",
                "hut bank",
                "inSeries=16",
                "inParallel=2",
                "capacity=100 Ah",
                "stringTap=EQUAL_LEADS",
                "stringFuses=EACH");
        job.piece(FUSE, "MAIN", "main fuse", "family=CLASS_T", "rating=150 A");
        job.piece(BUS_BAR, "BUS", "positive bus", "rating=400 A");
        job.piece(BUS_BAR, "NBUS", "negative bus", "rating=400 A");
        job.piece(SHUNT, "SHUNT", "battery shunt", "rating=300 A");
        job.piece(FUSE, "PVF1", "east string fuse", "family=CLASS_T", "rating=50 A", "ohm=1 mΩ");
        job.piece(FUSE, "PVF2", "west string fuse", "family=CLASS_T", "rating=50 A", "ohm=1 mΩ");
        job.piece(FUSE, "PUMPF", "pump fuse", "family=CLASS_T", "rating=70 A", "ohm=0.9 mΩ");
        job.piece(FUSE, "HEATF", "heater fuse", "family=SF30", "rating=60 A", "ohm=1 mΩ");
        job.piece(SOLAR, "PV1", "east string and controller", "power=1800 W");
        job.piece(SOLAR, "PV2", "west string and controller", "power=1800 W");
        job.piece(
                MOTOR,
                "PUMP",
                "frost pump drive",
                "current=42 A",
                "lowest=44 V",
                "surgeCurrent=90 A",
                "surgeTime=1 s",
                "drop=3 %");
        job.piece(HEATER, "HEAT", "sensor heaters", "power=1600 W", "drop=4 %");
        job.piece(INVERTER, "HUT", "hut inverter", "power=1500 W", "lowest=42 V", "drop=2 %");
        job.working("Frost night", 5, "PUMP surge, HEAT on, HUT on");
        job.working("Clear day", 6, "PV1 on, PV2 on, HUT on");
        job.working("Grey day", 8, "PV1 on, HEAT on");
        job.cable("MAIN+ BANK.plus MAIN.in 0.2 1 M8 M8", "50 mm²");
        job.cable("BUS+ MAIN.out BUS.bar 0.9 1 M8 M10", "50 mm²");
        job.cable("NBUS− NBUS.bar SHUNT.in 0.3 1 M10 M10", "50 mm²");
        job.cable("MAIN− SHUNT.out BANK.minus 0.9 1 M10 M8", "50 mm²");
        job.cable("PVF1+ BUS.bar PVF1.in 0.1 1 M10 M8", "50 mm²");
        job.cable("PV1+ PV1.plus PVF1.out 1.4 2 M6 M6", "16 mm²");
        job.cable("PV1− PV1.minus NBUS.bar 1.4 2 M6 M10", "16 mm²");
        job.cable("PVF2+ BUS.bar PVF2.in 0.1 1 M10 M8", "50 mm²");
        job.cable("PV2+ PV2.plus PVF2.out 1.9 2 M6 M6", "16 mm²");
        job.cable("PV2− PV2.minus NBUS.bar 1.9 2 M6 M10", "16 mm²");
        job.cable("PUMPF+ BUS.bar PUMPF.in 0.1 1 M10 M8", "50 mm²");
        job.cable("PUMP+ PUMPF.out PUMP.plus 14 3 M8 M6");
        job.cable("PUMP− PUMP.minus NBUS.bar 14 3 M6 M10");
        job.cable("HEATF+ BUS.bar HEATF.in 0.1 1 M10 M8", "50 mm²");
        job.cable("HEAT+ HEATF.out HEAT.plus 8 3 M6 M6", "16 mm²");
        job.cable("HEAT− HEAT.minus NBUS.bar 8 3 M6 M10", "16 mm²");
        job.cable("HUT+ BUS.bar HUT.plus 1.2 2 M10 M8", "50 mm²");
        job.cable("HUT− HUT.minus NBUS.bar 1.3 2 M8 M10", "50 mm²");
        job.finish();
    }
}
