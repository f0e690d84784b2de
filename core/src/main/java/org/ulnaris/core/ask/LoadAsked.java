package org.ulnaris.core.ask;

import java.util.OptionalDouble;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.sizing.CableDemand;

/**
 * The load, or the charger, that a line speaks of.
 *
 * @param kind what it is
 * @param currentA what it draws or gives, A; empty where its power says it
 * @param powerW its power, W: of an inverter what it gives, else what it takes; empty where its current says it
 * @param efficiencyPercent what an inverter gives of what it takes, %; 100 where a power is what is taken
 */
public record LoadAsked(LoadWord kind, OptionalDouble currentA, OptionalDouble powerW, double efficiencyPercent) {
    /** Of an inverter (common practice); the maker's figure rules. */
    private static final double INVERTER_PERCENT = 90;
    /** A load works down to this share of the nominal voltage (common practice). */
    private static final double LOWEST_SHARE = 0.9;

    private static final double BANK_STEP_AH = 100;
    /** Half of its capacity an hour is what a lithium battery usually takes (common practice). */
    private static final double CHARGING_H = 2;
    /** What works in spells rests four times as long where nobody said (common practice: a fifth of the time). */
    private static final double REST_SHARE = 4;

    /**
     * The load of {@code said}. A current is taken as it is said; a power of nothing in particular is taken whatever the voltage, which
     * asks the most of a cable when the battery is low.
     *
     * @param nominalV nominal voltage, V
     * @throws IllegalArgumentException when neither current nor power is said
     */
    public static LoadAsked of(Said said, double nominalV) {
        OptionalDouble current = said.figure(Meaning.CURRENT);
        OptionalDouble power = said.figure(Meaning.POWER);
        LoadWord steady = current.isPresent() ? LoadWord.ELECTRONICS : LoadWord.INVERTER;
        LoadWord kind = said.load().orElse(said.inSpells() ? LoadWord.MOTOR : steady);
        if (current.isPresent()) {
            return switch (kind) {
                case HEATER ->
                    new LoadAsked(
                            kind, OptionalDouble.empty(), OptionalDouble.of(current.getAsDouble() * nominalV), 100);
                case INVERTER -> new LoadAsked(LoadWord.ELECTRONICS, current, OptionalDouble.empty(), 100);
                default -> new LoadAsked(kind, current, OptionalDouble.empty(), 100);
            };
        }
        double watt = power.orElseThrow(() -> new IllegalArgumentException("neither current nor power is said"));
        return switch (kind) {
            case HEATER -> new LoadAsked(kind, OptionalDouble.empty(), power, 100);
            case INVERTER ->
                new LoadAsked(kind, OptionalDouble.empty(), power, said.load().isPresent() ? INVERTER_PERCENT : 100);
            default -> new LoadAsked(kind, OptionalDouble.of(watt / nominalV), OptionalDouble.empty(), 100);
        };
    }

    /** How long it rests after {@code onS} of work, s. */
    public static double restS(double onS) {
        return Math.min(Device.Duty.SECONDS.upTo(), REST_SHARE * onS);
    }

    /** What its cables are sized for, A. */
    public double sizingA(double nominalV) {
        return currentA.orElseGet(() -> {
            double volt = kind == LoadWord.INVERTER ? LOWEST_SHARE * nominalV : nominalV;
            return powerW.orElseThrow() / (efficiencyPercent / 100) / volt;
        });
    }

    /** Whether it takes or gives more than any cable or any piece of equipment known here. */
    public boolean isBeyondAll(double nominalV) {
        return sizingA(nominalV) > CableDemand.Load.CURRENT_A.upTo() || powerW.orElse(0) > Device.Draw.VALUE.upTo();
    }

    /** A battery that feeds it for an hour, or that it charges in two, in whole hundreds, Ah: taken where nobody said how large it is. */
    public double bankAh(double nominalV) {
        double hours = kind.charges() ? CHARGING_H : 1;
        return BANK_STEP_AH * Math.max(1, Math.ceil(hours * sizingA(nominalV) / BANK_STEP_AH));
    }
}
