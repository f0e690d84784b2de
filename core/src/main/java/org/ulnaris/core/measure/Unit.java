package org.ulnaris.core.measure;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Units that people of the trade write, with the exact conversion to SI.
 *
 * <p>Source: NIST SP 811 / ISO 80000: 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N, °F = 9/5 °C + 32 (exact). A weight in
 * kilograms counts as the force that it makes at standard gravity 9.80665 m/s².
 */
public enum Unit {
    M(Dimension.LENGTH, "m", 1, 0, "m", "metre", "metres", "meter", "meters"),
    CM(Dimension.LENGTH, "cm", 0.01, 0, "cm"),
    MM(Dimension.LENGTH, "mm", 0.001, 0, "mm"),
    INCH(Dimension.LENGTH, "in", 0.0254, 0, "in", "inch", "inches", "\"", "″", "''", "′′"),
    FOOT(Dimension.LENGTH, "ft", 0.3048, 0, "ft", "foot", "feet", "'", "′"),
    YARD(Dimension.LENGTH, "yd", 0.9144, 0, "yd", "yds", "yard", "yards"),
    AMPERE(Dimension.CURRENT, "A", 1, 0, "a", "amp", "amps", "ampere", "amperes"),
    MILLIAMPERE(Dimension.CURRENT, "mA", 0.001, 0, "ma"),
    KILOAMPERE(Dimension.CURRENT, "kA", 1000, 0, "ka"),
    VOLT(Dimension.VOLTAGE, "V", 1, 0, "v", "volt", "volts", "vdc"),
    WATT(Dimension.POWER, "W", 1, 0, "w", "watt", "watts", "va"),
    KILOWATT(Dimension.POWER, "kW", 1000, 0, "kw", "kva"),
    OHM(Dimension.RESISTANCE, "Ω", 1, 0, "ω", "ohm", "ohms"),
    MILLIOHM(Dimension.RESISTANCE, "mΩ", 0.001, 0, "mω", "mohm", "milliohm", "milliohms"),
    AMPERE_HOUR(Dimension.CHARGE, "Ah", 3600, 0, "ah"),
    HOUR(Dimension.TIME, "h", 3600, 0, "h", "hr", "hrs", "hour", "hours"),
    CELSIUS(Dimension.TEMPERATURE, "°C", 1, 273.15, "°c", "c", "degc", "℃"),
    FAHRENHEIT(Dimension.TEMPERATURE, "°F", 5.0 / 9.0, 459.67 * 5.0 / 9.0, "°f", "f", "degf", "℉"),
    NEWTON_METRE(Dimension.TORQUE, "N·m", 1, 0, "nm", "newtonmetre", "newtonmetres", "newtonmeter", "newtonmeters"),
    POUND_FORCE_INCH(
            Dimension.TORQUE,
            "lbf·in",
            4.4482216152605 * 0.0254,
            0,
            "lbfin",
            "lbin",
            "inlb",
            "inlbf",
            "inlbs",
            "lbsin"),
    POUND_FORCE_FOOT(
            Dimension.TORQUE,
            "lbf·ft",
            4.4482216152605 * 0.3048,
            0,
            "lbfft",
            "lbft",
            "ftlb",
            "ftlbf",
            "ftlbs",
            "lbsft"),
    NEWTON(Dimension.FORCE, "N", 1, 0, "n", "newton", "newtons"),
    KILONEWTON(Dimension.FORCE, "kN", 1000, 0, "kn"),
    POUND_FORCE(Dimension.FORCE, "lbf", 4.4482216152605, 0, "lbf", "lb", "lbs", "pound", "pounds"),
    KILOGRAM_FORCE(Dimension.FORCE, "kg", 9.80665, 0, "kg", "kgf", "kilo", "kilos"),
    TONNE_FORCE(Dimension.FORCE, "t", 9806.65, 0, "t", "tf", "tonne", "tonnes"),
    PERCENT(Dimension.RATIO, "%", 0.01, 0, "%", "percent", "pct", "%/k", "%/°c", "%/c"),
    DEGREE(Dimension.ANGLE, "°", 1, 0, "°", "deg", "degree", "degrees"),
    SECOND(Dimension.TIME, "s", 1, 0, "s", "sec", "secs", "second", "seconds"),
    MINUTE(Dimension.TIME, "min", 60, 0, "min", "mins", "minute", "minutes");

    private static final Map<String, Unit> BY_ALIAS = new HashMap<>();

    static {
        for (Unit unit : values()) {
            for (String alias : unit.aliases) {
                BY_ALIAS.put(alias, unit);
            }
        }
    }

    private final Dimension dimension;
    private final String symbol;
    private final double factor;
    private final double offset;
    private final List<String> aliases;

    Unit(Dimension dimension, String symbol, double factor, double offset, String... aliases) {
        this.dimension = dimension;
        this.symbol = symbol;
        this.factor = factor;
        this.offset = offset;
        this.aliases = List.of(aliases);
    }

    public Dimension dimension() {
        return dimension;
    }

    /** The symbol to show after a figure. */
    public String symbol() {
        return symbol;
    }

    /** Value in the dimension's SI unit of {@code value} in this unit. */
    public double toSi(double value) {
        return value * factor + offset;
    }

    /** Value in this unit of {@code si} in the dimension's SI unit. */
    public double fromSi(double si) {
        return (si - offset) / factor;
    }

    /** The unit that a person means by {@code text}: case, spaces, dots and hyphens do not matter. */
    public static Optional<Unit> named(String text) {
        String key = text.toLowerCase(Locale.ROOT).replaceAll("[\\s.·⋅*\\-]", "");
        return Optional.ofNullable(BY_ALIAS.get(key));
    }
}
