package org.ulnaris.app.loads;

import java.util.List;
import org.ulnaris.core.making.Slack;

/** Kinds of equipment, each with the fields that describe it. */
public enum EquipmentKind {
    BANK("chemistry", "inSeries", "inParallel", "capacity", "stringTap", "stringFuses", "ohm", "charge", "cutOff"),
    INVERTER("power", "efficiency", "idle", "lowest", "highest", "surgePower", "surgeTime", "drop"),
    ELECTRONICS("current", "lowest", "highest", "drop"),
    MOTOR("current", "lowest", "highest", "surgeCurrent", "surgeTime", "dutyOn", "dutyOff", "drop"),
    STARTER("current", "lowest", "highest", "surgeCurrent", "surgeTime", "dutyOn", "dutyOff", "drop"),
    HEATER("power", "lowest", "highest", "drop"),
    BALANCER("current", "drop"),
    CHARGER("holds", "current"),
    ALTERNATOR("holds", "current"),
    SOLAR("holds", "power"),
    PANELS("panels", "openVolt", "workVolt", "shortCurrent", "workCurrent", "panelFuse", "coldest", "coefficient"),
    PANEL_INPUT("highest", "shortLimit", "drop"),
    BUS_BAR("rating"),
    CHASSIS,
    FUSE("family", "rating", "ohm", "on"),
    SWITCH("rating", "ohm"),
    SHUNT("rating", "ohm"),
    PLUG("rating", "ohm"),
    BRANCH("rating");

    private final List<String> fields;

    EquipmentKind(String... fields) {
        this.fields = List.of(fields);
    }

    /** Names of its fields beside tag and name, in order. */
    public List<String> fields() {
        return fields;
    }

    /** What can be chosen of one of its fields; empty of one that is typed. */
    public List<? extends Enum<?>> options(String field) {
        return fields.contains(field) ? EquipmentField.of(field).entered(this).options() : List.of();
    }

    /** Whether a case says if it works. */
    public boolean switched() {
        return switch (this) {
            case INVERTER, ELECTRONICS, MOTOR, STARTER, HEATER, BALANCER, CHARGER, ALTERNATOR, SOLAR -> true;
            default -> false;
        };
    }

    /** Whether a case has something to say of it: that it works, or what it gives and takes. */
    public boolean inCases() {
        return this == BANK || switched();
    }

    /** Whether it takes power while it is ready but feeds nothing. */
    public boolean idles() {
        return fields.contains("idle");
    }

    /** How it is held: what a cable that ends there has to spare. */
    public Slack.Mount mount() {
        return switch (this) {
            case BANK, BUS_BAR, CHASSIS, FUSE, SWITCH, SHUNT -> Slack.Mount.FIXED;
            case MOTOR, STARTER, ALTERNATOR -> Slack.Mount.MOVING;
            case INVERTER, ELECTRONICS, HEATER, BALANCER, CHARGER, SOLAR, PANELS, PANEL_INPUT, PLUG, BRANCH ->
                Slack.Mount.OTHER;
        };
    }

    /** Whether it turns: its supply may lose more than that of other loads. */
    public boolean isMotor() {
        return this == MOTOR || this == STARTER;
    }

    /** Whether it has a surge. */
    public boolean surges() {
        return fields.contains("surgeTime");
    }
}
