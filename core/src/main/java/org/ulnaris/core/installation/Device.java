package org.ulnaris.core.installation;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.sizing.DropLimit;

/** Something with terminals that cables join. */
public sealed interface Device {
    /** Terminals of a two-pole device. */
    List<Port> POLES = List.of(Port.PLUS, Port.MINUS);

    /** Terminals of a device that current passes through. */
    List<Port> SIDES = List.of(Port.IN, Port.OUT);

    /** Name, unique in the installation. */
    String tag();

    /** The terminals that it has. */
    default List<Port> ports() {
        return POLES;
    }

    /** Whether current begins or ends in it: a load, a charger, solar panels or the panel side of a controller. */
    default boolean isAppliance() {
        return this instanceof Consumer || this instanceof Charger || this instanceof PanelInput;
    }

    /** The terminals that a cable may go to. */
    default List<Terminal> terminals() {
        return ports().stream().map(this::at).toList();
    }

    /** One of its terminals. */
    default Terminal at(Port port) {
        return new Terminal(tag(), port);
    }

    /** Between two of its terminals, in a network. */
    default Branch branch(Port from, Port to) {
        return new Branch(tag(), at(from).node(), at(to).node());
    }

    private static void check(String tag) {
        if (tag.isBlank() || tag.indexOf('.') >= 0) {
            throw new IllegalArgumentException("tag must not be blank or hold a point; have '" + tag + "'");
        }
    }

    /** A battery bank with terminals plus and minus. */
    record Bank(String tag, BankBuild build) implements Device {
        public Bank {
            check(tag);
            Objects.requireNonNull(build, "build");
        }
    }

    /**
     * How a bank is built.
     *
     * @param chemistry kind of its units
     * @param series units in series
     * @param parallel strings in parallel
     * @param unitAh capacity of a unit, Ah
     * @param unitOhm internal resistance of a unit, Ω
     * @param window voltages between which it is kept; null for those of its kind
     * @param strings how the strings are joined
     */
    record BankBuild(
            Chemistry chemistry,
            int series,
            int parallel,
            double unitAh,
            double unitOhm,
            @Nullable Window window,
            Strings strings) {
        public static final Range COUNT = Range.from(1, 400);
        /** Of all units in series at their charging voltage, V. */
        public static final Range VOLT = Element.VOLT;

        public static final Range UNIT_AH = new Range(0, 20_000);
        private static final double SAME = 1e-9;
        public static final Range UNIT_OHM = new Range(COUNT.upTo() * Element.LEAST_OHM, 1);

        public BankBuild {
            Objects.requireNonNull(chemistry, "chemistry");
            Objects.requireNonNull(strings, "strings");
            COUNT.check("series", series);
            COUNT.check("parallel", parallel);
            UNIT_AH.check("unitAh", unitAh);
            UNIT_OHM.check("unitOhm", unitOhm);
            VOLT.check("charging voltage of the bank", chemistry.chargeV() * series);
        }

        /** Kept between the voltages of its kind. */
        public BankBuild(Chemistry chemistry, int series, int parallel, double unitAh, double unitOhm) {
            this(chemistry, series, parallel, unitAh, unitOhm, null, Strings.UNKNOWN);
        }

        /** With the typical resistance of its kind and size. */
        public static BankBuild typical(Chemistry chemistry, int series, int parallel, double unitAh) {
            double ohm = Math.min(UNIT_OHM.upTo(), chemistry.typicalOhm(unitAh));
            return new BankBuild(chemistry, series, parallel, unitAh, ohm);
        }

        /** Whether its resistance is only what its kind and size usually have: nobody gave its own. */
        public boolean isTypical() {
            return Math.abs(unitOhm - typical(chemistry, series, parallel, unitAh).unitOhm) <= SAME * unitOhm;
        }

        /** Internal resistance of the bank, Ω. */
        public double ohm() {
            return unitOhm * series / parallel;
        }

        /** The same bank kept between other voltages. */
        public BankBuild within(@Nullable Window other) {
            return new BankBuild(chemistry, series, parallel, unitAh, unitOhm, other, strings);
        }

        /** The same bank with its strings joined so. */
        public BankBuild joined(Strings other) {
            return new BankBuild(chemistry, series, parallel, unitAh, unitOhm, window, other);
        }

        /** Open voltage at rest, half full, V; within the window. */
        public double restV() {
            return Math.min(chargeV(), Math.max(lowestV(), chemistry.restV() * series));
        }

        /** Voltage at which it is cut off, V. */
        public double lowestV() {
            return window == null ? chemistry.lowestV() * series : window.cutOffV();
        }

        public double chargeV() {
            return window == null ? chemistry.chargeV() * series : window.chargeV();
        }

        /** Capacity of the bank, Ah. */
        public double ampereHours() {
            return unitAh * parallel;
        }
    }

    /**
     * How the strings of a bank are joined.
     *
     * @param tap where the load is tapped; empty where nobody said
     * @param fuses whether each string has a fuse of its own; empty where nobody said
     */
    record Strings(Optional<StringTap> tap, Optional<StringFuses> fuses) {
        public static final Strings UNKNOWN = new Strings(Optional.empty(), Optional.empty());
    }

    /**
     * Voltages between which a bank is kept, as its maker or its battery management system says.
     *
     * @param cutOffV at which it is cut off, V
     * @param chargeV at which it is charged, V
     */
    record Window(double cutOffV, double chargeV) {
        public Window {
            BankBuild.VOLT.check("cutOffV", cutOffV);
            BankBuild.VOLT.check("chargeV", chargeV);
            if (!(cutOffV < chargeV)) {
                throw new IllegalArgumentException(
                        "cut-off must lie below the charging voltage; have " + cutOffV + " and " + chargeV + " V");
            }
        }
    }

    /**
     * A load with terminals plus and minus.
     *
     * @param draw what it draws
     * @param drop what may be lost between its source and itself
     * @param cranking whether it is an engine's starter motor, whose supply needs no fuse
     * @param duty how it works and rests by turns; null when it works on
     * @param idleW what it takes from its terminals while it is ready but feeds nothing, W
     * @param highestV highest voltage that it stands, V; null where nobody gave it
     * @param balancer whether it evens out the batteries of a string, or senses them: it belongs on a part of the string
     */
    record Consumer(
            String tag,
            Draw draw,
            DropLimit drop,
            boolean cranking,
            @Nullable Duty duty,
            double idleW,
            @Nullable Double highestV,
            boolean balancer)
            implements Device {
        public static final Range ALLOWED_DROP_PERCENT = new Range(0, 50);
        public static final Range IDLE_W = Range.from(0, 10_000);
        /** A balancer moves no more than this between two batteries of a string; beyond, it is a load like any other, A (ours). */
        private static final double BALANCER_A = 10;

        public Consumer {
            check(tag);
            ALLOWED_DROP_PERCENT.check("allowedDropPercent", drop.percent());
            IDLE_W.check("idleW", idleW);
            Objects.requireNonNull(draw, "draw");
            if (highestV != null) {
                Draw.LOWEST_V.check("highestV", highestV);
            }
        }

        /** Whether it is a balancer and draws no more than one does. */
        public boolean balances() {
            return balancer && draw.sizingA(true) <= BALANCER_A;
        }

        /** What may be lost between its source and itself, % of nominal. */
        public double allowedDropPercent() {
            return drop.percent();
        }

        /** A load of which it is not known what voltage it stands. */
        public Consumer(
                String tag, Draw draw, double allowedDropPercent, boolean cranking, @Nullable Duty duty, double idleW) {
            this(tag, draw, DropLimit.given(allowedDropPercent), cranking, duty, idleW, null, false);
        }

        /** A load that is no starter motor. */
        public Consumer(String tag, Draw draw, double allowedDropPercent) {
            this(tag, draw, allowedDropPercent, false, null, 0);
        }

        /** A load that takes nothing while it feeds nothing. */
        public Consumer(String tag, Draw draw, double allowedDropPercent, boolean cranking, @Nullable Duty duty) {
            this(tag, draw, allowedDropPercent, cranking, duty, 0);
        }
    }

    /**
     * Work and rest by turns.
     *
     * @param onS how long it works, s
     * @param offS how long it then rests, s
     */
    record Duty(double onS, double offS) {
        public static final Range SECONDS = new Range(0, 86_400);

        public Duty {
            SECONDS.check("onS", onS);
            SECONDS.check("offS", offS);
        }
    }

    /** How a load draws its current. */
    enum DrawKind {
        /** The same power whatever the voltage: inverters, converters. */
        POWER,
        /** The same current: motors at their load, lamps with a driver. */
        CURRENT,
        /** A resistance: heaters, incandescent lamps. */
        RESISTANCE
    }

    /**
     * What a load draws.
     *
     * @param kind how
     * @param value output power in W, current in A or resistance in Ω
     * @param efficiency output ÷ input of a power load; 1 of the others
     * @param lowestV lowest voltage at which it works, V
     * @param surge what it draws at its start or peak, in the unit of {@code value}; of a resistance the lower resistance
     * @param surgeS how long, s; 0 without a surge
     */
    record Draw(DrawKind kind, double value, double efficiency, double lowestV, double surge, double surgeS) {
        public static final Range VALUE = new Range(Element.LEAST_OHM, 1e6);
        public static final Range EFFICIENCY = new Range(0, 1);
        public static final Range LOWEST_V = new Range(0, 1500);
        public static final Range SURGE_S = Range.from(0, 3600);

        public Draw {
            Objects.requireNonNull(kind, "kind");
            VALUE.check("value", value);
            EFFICIENCY.check("efficiency", efficiency);
            LOWEST_V.check("lowestV", lowestV);
            VALUE.check("surge", surge);
            SURGE_S.check("surgeS", surgeS);
        }

        /** A load without a surge. */
        public static Draw steady(DrawKind kind, double value, double efficiency, double lowestV) {
            return new Draw(kind, value, efficiency, lowestV, value, 0);
        }

        /** Input power of a power load, W. */
        public double inputW(boolean surging) {
            return Math.min(Element.LOAD.upTo(), (surging ? surge : value) / efficiency);
        }

        /** Current by which its cables are sized: power ÷ lowest working voltage ÷ efficiency, A. */
        public double sizingA(boolean surging) {
            double amount = surging ? surge : value;
            return switch (kind) {
                case POWER -> Math.min(Element.LOAD.upTo(), inputW(surging) / lowestV);
                case CURRENT -> amount;
                case RESISTANCE -> Math.min(Element.LOAD.upTo(), lowestV / amount);
            };
        }
    }

    /**
     * A charger, alternator or charge controller with terminals plus and minus.
     *
     * @param setV voltage that it holds, V
     * @param ohm resistance behind it, Ω
     * @param maxA greatest current, A
     * @param alternator whether it is an engine's alternator: it must never lose its battery while it turns
     * @param panels the solar panels that it is: it then holds nothing, its voltage is theirs at their greatest power; null of all others
     */
    record Charger(
            String tag,
            double setV,
            double ohm,
            double maxA,
            boolean alternator,
            @Nullable PanelString panels) implements Device {
        public static final Range SET_V = new Range(0, 1500);
        public static final Range OHM = new Range(Element.LEAST_OHM, 10);
        public static final Range MAX_A = new Range(0, 5000);
        /** Of panels that lead to no controller, Ω: they lead to nothing that would draw. */
        private static final double PANELS_OHM = 0.01;

        public Charger {
            check(tag);
            SET_V.check("setV", setV);
            OHM.check("ohm", ohm);
            MAX_A.check("maxA", maxA);
        }

        /** A charger that stands the loss of its battery. */
        public Charger(String tag, double setV, double ohm, double maxA) {
            this(tag, setV, ohm, maxA, false, null);
        }

        /** An engine's alternator. */
        public static Charger alternator(String tag, double setV, double ohm, double maxA) {
            return new Charger(tag, setV, ohm, maxA, true, null);
        }

        /** Solar panels. */
        public static Charger panels(String tag, PanelString panels) {
            return new Charger(tag, panels.stringWorkV(), PANELS_OHM, panels.cableA(), false, panels);
        }

        /** The highest voltage that it gives, V. */
        public double highestV() {
            return panels == null ? setV : panels.coldOpenV();
        }
    }

    /**
     * The side of a charge controller that solar panels feed, with terminals plus and minus. Its battery side is a charger of its own.
     *
     * @param highestV highest voltage that it stands, V; null where nobody gave it
     * @param highestA highest short-circuit current of the panels that it stands, A; null where nobody gave it
     * @param drop what may be lost between the panels and itself, % of their voltage
     */
    record PanelInput(
            String tag, @Nullable Double highestV, @Nullable Double highestA, DropLimit drop) implements Device {
        public PanelInput {
            check(tag);
            Objects.requireNonNull(drop, "drop");
            if (highestV != null) {
                Draw.LOWEST_V.check("highestV", highestV);
            }
            if (highestA != null) {
                Fuse.RATING_A.check("highestA", highestA);
            }
        }
    }

    /**
     * A bus bar or distribution block: all its studs are one node.
     *
     * @param ratingA what it carries, A; null where nobody gave it
     */
    record Bar(String tag, @Nullable Double ratingA) implements Device {
        public Bar {
            check(tag);
            Fuse.checkRating(ratingA);
        }

        /** A bar of which it is not known what it carries. */
        public Bar(String tag) {
            this(tag, null);
        }

        @Override
        public List<Port> ports() {
            return List.of(Port.BAR);
        }
    }

    /**
     * A fuse or breaker with terminals in, towards the source, and out.
     *
     * @param ohm its resistance with its holder, Ω
     * @param family family
     * @param ratingA rating, A
     * @param on the terminal of another piece on which its source side is mounted: the bar of a fuse panel, a battery's post; null where
     *     a cable leads to it
     */
    record Fuse(
            String tag,
            double ohm,
            FuseFamily family,
            double ratingA,
            @Nullable Terminal on) implements Device {
        public static final Range RATING_A = new Range(0, 5000);

        public Fuse {
            check(tag);
            Objects.requireNonNull(family, "family");
            Link.OHM.check("ohm", ohm);
            RATING_A.check("ratingA", ratingA);
            if (on != null && on.device().equals(tag)) {
                throw new IllegalArgumentException("a fuse does not sit on itself; have '" + on + "'");
            }
        }

        /** A fuse to which a cable leads. */
        public Fuse(String tag, double ohm, FuseFamily family, double ratingA) {
            this(tag, ohm, family, ratingA, null);
        }

        /** The same in a holder to which a cable leads. */
        public Fuse loose() {
            return new Fuse(tag, ohm, family, ratingA);
        }

        @Override
        public Terminal at(Port port) {
            return on != null && port == Port.IN ? on : Device.super.at(port);
        }

        @Override
        public List<Terminal> terminals() {
            return on == null ? Device.super.terminals() : List.of(at(Port.OUT));
        }

        private static void checkRating(@Nullable Double ratingA) {
            if (ratingA != null) {
                RATING_A.check("ratingA", ratingA);
            }
        }

        @Override
        public List<Port> ports() {
            return SIDES;
        }
    }

    /**
     * A switch or shunt with terminals in and out.
     *
     * @param ohm its resistance, Ω
     * @param ratingA what it carries for good, A; null where nobody gave it
     * @param shunt whether it measures: what leads past it is not counted
     */
    record Link(String tag, double ohm, @Nullable Double ratingA, boolean shunt) implements Device {
        public static final Range OHM = new Range(Element.LEAST_OHM, 1);

        public Link {
            check(tag);
            OHM.check("ohm", ohm);
            Fuse.checkRating(ratingA);
        }

        /** A switch. */
        public Link(String tag, double ohm, @Nullable Double ratingA) {
            this(tag, ohm, ratingA, false);
        }

        /** A switch of which it is not known what it carries. */
        public Link(String tag, double ohm) {
            this(tag, ohm, null);
        }

        @Override
        public List<Port> ports() {
            return SIDES;
        }
    }
}
