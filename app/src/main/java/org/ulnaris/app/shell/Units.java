package org.ulnaris.app.shell;

import org.ulnaris.core.measure.Unit;

/** The units that a job is read and written in. */
public enum Units {
    METRIC(Unit.M, Unit.MM, Unit.NEWTON_METRE, Unit.NEWTON, Unit.CELSIUS),
    US(Unit.FOOT, Unit.INCH, Unit.POUND_FORCE_INCH, Unit.POUND_FORCE, Unit.FAHRENHEIT);

    private final Unit route;
    private final Unit small;
    private final Unit torque;
    private final Unit force;
    private final Unit temperature;

    Units(Unit route, Unit small, Unit torque, Unit force, Unit temperature) {
        this.route = route;
        this.small = small;
        this.torque = torque;
        this.force = force;
        this.temperature = temperature;
    }

    /** Length of a run. */
    public Unit route() {
        return route;
    }

    /** Length of a part. */
    public Unit small() {
        return small;
    }

    public Unit torque() {
        return torque;
    }

    public Unit force() {
        return force;
    }

    public Unit temperature() {
        return temperature;
    }

    /** The unit of these units for what {@code unit} measures. */
    public Unit likeOf(Unit unit) {
        return switch (unit) {
            case M, FOOT -> route;
            case MM, CM, INCH -> small;
            case NEWTON_METRE, POUND_FORCE_INCH, POUND_FORCE_FOOT -> torque;
            case NEWTON, POUND_FORCE, KILOGRAM_FORCE -> force;
            case CELSIUS, FAHRENHEIT -> temperature;
            case OHM, MILLIOHM -> Unit.MILLIOHM;
            default -> unit;
        };
    }
}
