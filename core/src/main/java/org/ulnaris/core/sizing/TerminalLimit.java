package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.rating.RuleSet;

/**
 * The temperature that the terminals of a cable stand. What is printed on the equipment rules.
 *
 * @param limitC limit, °C
 * @param source who says so
 * @param assumed whether nobody gave it: what is beyond it asks, and never stops
 */
public record TerminalLimit(double limitC, Source source, boolean assumed) {
    public static final Range LIMIT_C = Range.from(40, 250);

    private static final double SMALL_CIRCUIT_A = 100;
    private static final double SMALL_C = 60;
    private static final double LARGE_C = 75;
    private static final Source NEC =
            new Source("NEC 110.14(C)", note("TerminalLimit.60-c-up"), Confidence.RECALLED_HIGH);

    public TerminalLimit {
        LIMIT_C.check("terminalTempC", limitC);
    }

    /** As it was given for the terminals. */
    public static TerminalLimit given(double limitC) {
        return new TerminalLimit(limitC, Source.given(note("TerminalLimit.limit-of-the")), false);
    }

    /**
     * A current in its surroundings.
     *
     * @param currentA what the cable is sized for, A
     * @param ambientC air around it, °C
     */
    public record Warmed(double currentA, double ambientC) {}

    /**
     * 60 °C up to 100 A. Above, 75 °C, but for no size that 100 A would warm beyond 60 °C: more current never gives a thinner cable. The
     * rise goes with the square of the current.
     */
    private static double byLandCode(Warmed load) {
        if (load.currentA() <= SMALL_CIRCUIT_A || load.ambientC() >= SMALL_C) {
            return SMALL_C;
        }
        double share = load.currentA() / SMALL_CIRCUIT_A;
        return Math.min(LARGE_C, load.ambientC() + (SMALL_C - load.ambientC()) * share * share);
    }

    /**
     * The limit in force; empty where nobody has said one.
     *
     * @param given of these terminals, °C
     * @param houseC what the house takes where none is given, °C; null for nothing
     * @param load what the cable is sized for
     */
    public static Optional<TerminalLimit> of(
            OptionalDouble given, RuleSet rules, @Nullable Double houseC, Warmed load) {
        if (given.isPresent()) {
            return Optional.of(given(given.getAsDouble()));
        }
        if (rules.isLand()) {
            return Optional.of(new TerminalLimit(byLandCode(load), NEC, false));
        }
        return Optional.ofNullable(houseC)
                .map(limit -> new TerminalLimit(limit, Source.practice(note("TerminalLimit.not-given-the")), true));
    }
}
