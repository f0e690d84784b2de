package org.ulnaris.app.demo;

import static org.ulnaris.app.loads.EquipmentKind.BANK;
import static org.ulnaris.app.loads.EquipmentKind.BUS_BAR;
import static org.ulnaris.app.loads.EquipmentKind.CHARGER;
import static org.ulnaris.app.loads.EquipmentKind.ELECTRONICS;
import static org.ulnaris.app.loads.EquipmentKind.FUSE;
import static org.ulnaris.app.loads.EquipmentKind.MOTOR;
import static org.ulnaris.app.loads.EquipmentKind.STARTER;
import static org.ulnaris.app.loads.EquipmentKind.SWITCH;

import java.util.Objects;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.rating.RuleSet;

/** A tidal-flat oyster barge with twin engines. Its deliberate fault: the house fuse sits too far from the bank. */
final class Sandpiper {
    static final JobDetails DETAILS =
            new JobDetails("Sandpiper", JobKind.MARINE, 12, 14.4, Units.US, RuleSet.CFR_183_425, JobRules.USUAL);

    private Sandpiper() {}

    static void fill(DemoJob job) {
        job.piece(
                BANK,
                "HOUSE",
                "house bank",
                "chemistry=LEAD_AGM",
                "inSeries=1",
                "inParallel=3",
                "capacity=110 Ah",
                "stringTap=EQUAL_LEADS",
                "stringFuses=EACH");
        job.piece(FUSE, "HMAIN", "house fuse", "family=CLASS_T", "rating=250 A");
        job.piece(BUS_BAR, "HBUS", "house positive bus", "rating=400 A");
        job.piece(BUS_BAR, "NBUS", "common negative bus", "rating=600 A");
        job.piece(FUSE, "CAPF", "capstan fuse", "family=CLASS_T", "rating=200 A");
        job.piece(FUSE, "WASHF", "deck wash fuse", "family=CLASS_T", "rating=40 A", "ohm=1.5 mΩ");
        job.piece(FUSE, "LITEF", "deck light fuse", "family=CLASS_T", "rating=15 A", "ohm=5 mΩ");
        job.piece(FUSE, "CHGF", "charger fuse", "family=CLASS_T", "rating=60 A", "ohm=1 mΩ");
        job.piece(
                MOTOR,
                "CAP",
                "capstan",
                "current=120 A",
                "lowest=10.2 V",
                "surgeCurrent=220 A",
                "surgeTime=1 s",
                "dutyOn=2 min",
                "dutyOff=8 min",
                "drop=10 %");
        job.piece(
                MOTOR,
                "WASH",
                "deck wash pump",
                "current=25 A",
                "lowest=10.5 V",
                "surgeCurrent=60 A",
                "surgeTime=0.5 s",
                "drop=10 %");
        job.piece(ELECTRONICS, "LITES", "deck lights", "current=8 A", "lowest=10.8 V", "drop=6 %");
        job.piece(CHARGER, "CHG", "dock charger", "current=35 A");
        job.piece(
                BANK,
                "START",
                "start bank",
                "chemistry=LEAD_WET",
                "inSeries=1",
                "inParallel=2",
                "capacity=100 Ah",
                "stringTap=OPPOSITE_ENDS");
        job.piece(SWITCH, "SWI", "start switch", "rating=350 A");
        job.piece(
                STARTER,
                "ENG1",
                "port engine",
                "current=210 A",
                "lowest=8 V",
                "surgeCurrent=420 A",
                "surgeTime=1 s",
                "drop=10 %");
        job.piece(
                STARTER,
                "ENG2",
                "starboard engine",
                "current=210 A",
                "lowest=8 V",
                "surgeCurrent=420 A",
                "surgeTime=1 s",
                "drop=10 %");
        job.working("Hauling", 1.5, "CAP surge, WASH on, LITES on");
        job.working("At anchor", 10, "LITES on");
        job.working("Capstan at the dock", 0.5, "CAP surge, CHG on");
        job.working("Starting port", 0.1, "ENG1 surge");
        job.working("Starting starboard", 0.1, "ENG2 surge");
        job.cable("HOUSE+ HOUSE.plus HMAIN.in 2.1 5 5/16 5/16", "2/0 AWG");
        job.cable("HBUS+ HMAIN.out HBUS.bar 0.3 5 5/16 5/16", "2/0 AWG");
        job.cable("HOUSE− NBUS.bar HOUSE.minus 1.2 5 3/8 5/16", "2/0 AWG");
        job.cable("CAPF+ HBUS.bar CAPF.in 0.2 5 5/16 5/16", "2/0 AWG");
        job.cable("CAP+ CAPF.out CAP.plus 5.5 10 5/16 3/8", "2/0 AWG");
        job.cable("CAP− CAP.minus NBUS.bar 5.8 10 3/8 3/8", "2/0 AWG");
        job.cable("WASHF+ HBUS.bar WASHF.in 0.2 3 5/16 5/16", "1/0 AWG");
        job.cable("WASH+ WASHF.out WASH.plus 4.6 5 #10 #10");
        job.cable("WASH− WASH.minus NBUS.bar 4.6 5 #10 #10");
        job.cable("LITEF+ HBUS.bar LITEF.in 0.2 3 5/16 5/16", "1/0 AWG");
        job.cable("LITE+ LITEF.out LITES.plus 7.0 3 #10 #10");
        job.cable("LITE− LITES.minus NBUS.bar 7.0 3 #10 #10");
        job.cable("CHGF+ HBUS.bar CHGF.in 0.2 3 5/16 5/16", "1/0 AWG");
        job.cable("CHG+ CHG.plus CHGF.out 2.4 3 1/4 1/4");
        job.cable("CHG− CHG.minus NBUS.bar 2.4 3 1/4 1/4");
        job.cable("START+ START.plus SWI.in 0.9 10 3/8 3/8");
        job.hotCable("ENG1+ SWI.out ENG1.plus 2.2 10 3/8 3/8");
        job.hotCable("ENG2+ SWI.out ENG2.plus 3.4 10 3/8 3/8");
        job.hotCable("ENG1− ENG1.minus START.minus 2.4 10 3/8 3/8");
        job.hotCable("ENG2− ENG2.minus START.minus 3.6 10 3/8 3/8");
        job.bond("BOND− NBUS.bar START.minus 1.6 10 3/8 3/8", "2 AWG", 60);
        Cable bond = Objects.requireNonNull(job.finish().get("BOND−"));
        job.end(bond, Side.B, new EndDetails("3/8", 14.0, 12.0, 16.0, null, 32.0, null, null, null, null));
    }
}
