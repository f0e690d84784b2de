package org.ulnaris.app.shell;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Quantity;
import org.ulnaris.core.measure.Thousands;
import org.ulnaris.core.measure.Unit;

/**
 * Figures as they are shown, in the units of a job. Rounding happens here and nowhere before.
 *
 * @param units the job's units
 */
public record Fmt(Units units) {
    /** From here on a current is a short circuit's and is shown in kA. */
    private static final double SHORT_CIRCUIT_A = 10_000;

    /** Above it the models of warming say nothing but that it is too hot, °C. */
    private static final double BELIEVABLE_C = 300;

    private static final int SHORT_DIGITS = 4;

    /** From here on a length is one along a cable: a zero behind its point is no measure of care. */
    private static final double LONG_MM = 100;

    private static final double LONG_IN = 10;

    private static final Map<Unit, Integer> TORQUE_DECIMALS = torqueDecimals();

    /** Between figure and unit. */
    public static final String SPACE = "\u00a0";

    /** A length along a route. */
    public String route(double metre) {
        return show(Quantity.of(metre, Unit.M), units.route(), 2);
    }

    /** An angle to turn through: "−90°". */
    public static String turn(double degrees) {
        return Figures.fixed(degrees, 0).replace('-', '−') + "°";
    }

    /** A length of a part. */
    public String small(double mm) {
        return show(Quantity.of(mm, Unit.MM), units.small(), units == Units.METRIC ? 1 : 2);
    }

    /** A length as it is marked and cut at the bench: whole millimetres above 100 mm, halves below. */
    public String bench(double mm) {
        if (units != Units.METRIC) {
            return small(mm);
        }
        double step = mm > 100 ? 1 : 0.5;
        double rounded = Math.round(mm / step) * step;
        return Figures.fixed(rounded, rounded == Math.rint(rounded) ? 0 : 1) + SPACE + "mm";
    }

    public String torque(double newtonMetre) {
        return show(Quantity.of(newtonMetre, Unit.NEWTON_METRE), units.torque(), units == Units.METRIC ? 1 : 0);
    }

    /** The same torque in N·m, lbf·in and lbf·ft. */
    public String torqueAll(double newtonMetre) {
        return torque(newtonMetre, TORQUE_DECIMALS.keySet().stream());
    }

    /** The same torque in the units that the job does not use. */
    public String torqueElse(double newtonMetre) {
        return torque(newtonMetre, TORQUE_DECIMALS.keySet().stream().filter(unit -> unit != units.torque()));
    }

    private static String torque(double newtonMetre, Stream<Unit> shown) {
        Quantity torque = Quantity.of(newtonMetre, Unit.NEWTON_METRE);
        return shown.map(unit -> show(torque, unit, TORQUE_DECIMALS.getOrDefault(unit, 0)))
                .collect(Collectors.joining(" · "));
    }

    public String force(double newton) {
        return show(Quantity.of(newton, Unit.NEWTON), units.force(), 0);
    }

    public String temperature(double celsius) {
        return show(Quantity.of(celsius, Unit.CELSIUS), units.temperature(), 0);
    }

    public String current(double ampere) {
        Unit shown = shown(Unit.AMPERE, ampere);
        return Figures.significant(Quantity.of(ampere, Unit.AMPERE).in(shown), 4) + SPACE + shown.symbol();
    }

    /** The unit that such a value is shown in: the job's; a short circuit in kiloamperes. */
    private Unit shown(Unit kept, double value) {
        return kept == Unit.AMPERE && Math.abs(value) >= SHORT_CIRCUIT_A ? Unit.KILOAMPERE : units.likeOf(kept);
    }

    public String volt(double volt) {
        return Figures.significant(volt, 4) + SPACE + "V";
    }

    public String percent(double percent) {
        return Figures.fixed(percent, 2) + SPACE + "%";
    }

    public String area(double mm2) {
        return Figures.significant(mm2, 4) + SPACE + "mm²";
    }

    /** A figure of a finding, converted where the job's units differ. */
    public String figure(double value, String unitSymbol) {
        if (!(Math.abs(value) <= Double.MAX_VALUE)) {
            return "—";
        }
        if (unitSymbol.equals("°C") && value > BELIEVABLE_C) {
            return ">" + figure(BELIEVABLE_C, unitSymbol);
        }
        Optional<Unit> unit = Arrays.stream(Unit.values())
                .filter(u -> u.symbol().equals(unitSymbol))
                .findFirst();
        if (unit.isEmpty() || unitSymbol.equals("%")) {
            return unitSymbol.isEmpty()
                    ? Figures.significant(value, 3)
                    : number(value, unitSymbol) + SPACE + unitSymbol;
        }
        Unit shown = shown(unit.get(), value);
        double converted = Quantity.of(value, unit.get()).in(shown);
        return number(converted, shown.symbol()) + SPACE + shown.symbol();
    }

    private static String number(double value, String unitSymbol) {
        return switch (unitSymbol) {
            case "mm" -> Math.abs(value) < LONG_MM ? Figures.fixed(value, 1) : Figures.atMost(value, 1);
            case "in" -> Math.abs(value) < LONG_IN ? Figures.fixed(value, 2) : Figures.atMost(value, 2);
            case "N·m", "lbf·ft", "MPa" -> Figures.fixed(value, 1);
            case "%", "ft", "m" -> Figures.fixed(value, 2);
            case "A", "kA", "W" -> Figures.significant(value, 3);
            case "s" -> value < 10 ? Figures.significant(value, 2) : Figures.fixed(value, 0);
            case "N", "lbf", "°C", "°F", "lbf·in" -> Figures.fixed(value, 0);
            default -> Figures.significant(value, 4);
        };
    }

    /**
     * A value as it stands in an entry field: without losing digits, with its unit. What was typed in another unit comes back in that one
     * where it would be a long fraction in the job's.
     */
    public String entry(@Nullable Double value, Unit kept) {
        if (value == null) {
            return "";
        }
        Unit shown = units.likeOf(kept);
        Quantity quantity = Quantity.of(value, kept);
        return Stream.concat(Stream.of(shown), asTyped(kept).stream())
                .filter(unit -> isShort(quantity, unit))
                .findFirst()
                .map(unit -> typable(Figures.significant(quantity.in(unit), SHORT_DIGITS), unit))
                .orElseGet(() -> typable(Figures.significant(quantity.in(shown), 6), shown));
    }

    /** With one more digit where three of them could be read as thousands. */
    private static String typable(String figure, Unit unit) {
        return figure + (Thousands.in(figure, unit).isPresent() ? "0 " : " ") + unit.symbol();
    }

    /** Units in which such a value may have been typed. */
    private static List<Unit> asTyped(Unit kept) {
        return switch (kept) {
            case M -> List.of(Unit.M, Unit.FOOT, Unit.INCH, Unit.MM);
            case MM -> List.of(Unit.MM, Unit.INCH, Unit.CM, Unit.M);
            case NEWTON_METRE -> List.of(Unit.NEWTON_METRE, Unit.POUND_FORCE_INCH, Unit.POUND_FORCE_FOOT);
            case NEWTON -> List.of(Unit.NEWTON, Unit.POUND_FORCE, Unit.KILOGRAM_FORCE, Unit.KILONEWTON);
            case CELSIUS -> List.of(Unit.CELSIUS, Unit.FAHRENHEIT);
            default -> List.of();
        };
    }

    /** Whether a few digits say all of it in {@code unit}. */
    private static boolean isShort(Quantity quantity, Unit unit) {
        double exact = quantity.in(unit);
        double few = Figures.rounded(exact, SHORT_DIGITS);
        return Math.abs(few - exact) <= 1e-9 * Math.abs(exact);
    }

    /** A temperature as it stands in a column: above what the models say it is only "more than". */
    public String cellTemperature(double celsius) {
        return celsius > BELIEVABLE_C ? ">" + figure(BELIEVABLE_C, "°C") : figure(celsius, "°C");
    }

    private static Map<Unit, Integer> torqueDecimals() {
        Map<Unit, Integer> decimals = new LinkedHashMap<>();
        decimals.put(Unit.NEWTON_METRE, 1);
        decimals.put(Unit.POUND_FORCE_INCH, 0);
        decimals.put(Unit.POUND_FORCE_FOOT, 1);
        return decimals;
    }

    private static String show(Quantity quantity, Unit unit, int decimals) {
        return Figures.fixed(quantity.in(unit), decimals) + SPACE + unit.symbol();
    }
}
