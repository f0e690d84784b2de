package org.ulnaris.app.demo;

import static org.ulnaris.app.loads.EquipmentKind.BANK;
import static org.ulnaris.app.loads.EquipmentKind.BUS_BAR;
import static org.ulnaris.app.loads.EquipmentKind.CHARGER;
import static org.ulnaris.app.loads.EquipmentKind.ELECTRONICS;
import static org.ulnaris.app.loads.EquipmentKind.FUSE;
import static org.ulnaris.app.loads.EquipmentKind.INVERTER;
import static org.ulnaris.app.loads.EquipmentKind.SHUNT;

import java.util.Map;
import java.util.Objects;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.Surroundings;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.rating.RuleSet;

/** A truck that carries a shadow-puppet theatre. Its deliberate fault: the lamp rail has no fuse of its own. */
final class LanternCart {
    static final JobDetails DETAILS =
            new JobDetails("Lantern Cart", JobKind.MOBILE, 24, 29.2, Units.METRIC, RuleSet.CFR_183_425, JobRules.USUAL);

    private LanternCart() {}

    /** Fills {@code job}; the inverter's cable, which the bench has begun. */
    static Cable fill(DemoJob job) {
        job.piece(
                BANK,
                "BANK",
                "house bank",
                "capacity=100 Ah",
                "inParallel=3",
                "ohm=0.6 mΩ",
                "stringTap=EQUAL_LEADS",
                "stringFuses=EACH");
        job.piece(FUSE, "MAIN", "main fuse", "family=CLASS_T", "rating=250 A");
        job.piece(BUS_BAR, "BUS", "positive bus", "rating=400 A");
        job.piece(BUS_BAR, "NBUS", "negative bus", "rating=400 A");
        job.piece(FUSE, "ALTF", "alternator fuse", "family=CLASS_T", "rating=60 A", "ohm=0.8 mΩ");
        job.piece(FUSE, "SHOF", "shore fuse", "family=CLASS_T", "rating=60 A", "ohm=1 mΩ");
        job.piece(FUSE, "DIMF", "dimmer fuse", "family=CLASS_T", "rating=60 A", "ohm=1 mΩ");
        job.piece(SHUNT, "SHUNT", "battery shunt", "rating=300 A");
        job.piece(
                INVERTER,
                "INV",
                "inverter 3 kVA",
                "power=2800 W",
                "lowest=22 V",
                "surgePower=5600 W",
                "surgeTime=2 s",
                "drop=3 %");
        job.piece(ELECTRONICS, "LAMPS", "puppet lamp rail", "current=22 A", "drop=4 %");
        job.piece(ELECTRONICS, "DIM", "stage dimmers", "current=36 A", "drop=4 %");
        job.piece(CHARGER, "ALT", "charger on the alternator", "current=40 A");
        job.piece(CHARGER, "SHORE", "shore charger", "current=40 A");
        job.working("Show on the bank", 2, "INV surge, LAMPS on, DIM on");
        job.working("Shore charging, lamps", 6, "SHORE on, LAMPS on");
        job.working("Driving", 3, "ALT on");
        job.way("INV+", "0.3 m right + 1.1 m up + 0.2 m right");
        job.cable("INV+ BUS.bar INV.plus 1.6 2 M8 M8", "70 mm²");
        job.cable("INV− INV.minus NBUS.bar 1.8 2 M8 M8", "70 mm²");
        job.cable("BANK+ BANK.plus MAIN.in 0.15 1 M8 M8", "70 mm²");
        job.cable("BUS+ MAIN.out BUS.bar 0.3 1 M8 M8", "70 mm²");
        job.cable("NBUS− NBUS.bar SHUNT.in 0.3 1 M8 M10", "70 mm²");
        job.cable("BANK− SHUNT.out BANK.minus 0.4 1 M10 M8", "70 mm²");
        job.cable("ALTF+ BUS.bar ALTF.in 0.15 1 M8 M8", "70 mm²");
        job.hotCable("ALT+ ALT.plus ALTF.out 4.2 3 M6 M6");
        job.hotCable("ALT− ALT.minus NBUS.bar 4.2 3 M6 M8");
        job.cable("SHOF+ BUS.bar SHOF.in 0.15 1 M8 M8", "70 mm²");
        job.cable("SHORE+ SHORE.plus SHOF.out 2.1 2 M6 M6", "16 mm²");
        job.cable("SHORE− SHORE.minus NBUS.bar 2.1 2 M6 M8", "16 mm²");
        job.cable("LAMP+ BUS.bar LAMPS.plus 6.5 3 M8 M6", "16 mm²");
        job.cable("LAMP− LAMPS.minus NBUS.bar 6.5 3 M6 M8", "16 mm²");
        job.cable("DIMF+ BUS.bar DIMF.in 0.15 1 M8 M8", "70 mm²");
        job.cable("DIM+ DIMF.out DIM.plus 3.8 3 M6 M6", "16 mm²");
        job.cable("DIM− DIM.minus NBUS.bar 3.8 3 M6 M8", "16 mm²");
        Map<String, Cable> made = job.finish();
        Cable inverter = Objects.requireNonNull(made.get("INV+"));
        job.contact(Objects.requireNonNull(made.get("LAMP+")), Side.B, Family.TWO_POLE);
        job.contact(Objects.requireNonNull(made.get("LAMP−")), Side.A, Family.TWO_POLE);
        job.end(
                inverter,
                Side.A,
                new EndDetails(
                        "M8",
                        14.0,
                        12.0,
                        15.0,
                        26.0,
                        20.0,
                        null,
                        null,
                        null,
                        new Surroundings(null, 14.0, 34.0, 60.0, null, Heading.FORWARD, null)));
        EndDetails atInverter =
                EndDetails.on("M8").in(new Surroundings(null, null, null, null, null, Heading.UP, null));
        job.end(inverter, Side.B, atInverter);
        return inverter;
    }
}
