package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
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
 * @param byTable whether the land code's table decides in place of the conductor's temperature
 */
public record TerminalLimit(double limitC, Source source, boolean assumed, boolean byTable) {
    public static final Range LIMIT_C = Range.from(40, 250);

    /** Terminals without a marking stand this up to {@link #SMALL_CIRCUIT_A}, °C. */
    public static final double SMALL_C = 60;

    /** And this above, °C. */
    public static final double LARGE_C = 75;

    static final double SMALL_CIRCUIT_A = 100;
    private static final List<Double> COLUMNS = List.of(SMALL_C, LARGE_C, 90.0);
    private static final Source NEC =
            new Source("NEC 110.14(C), 310.16", note("TerminalLimit.60-c-up"), Confidence.RECALLED_HIGH);

    public TerminalLimit {
        LIMIT_C.check("terminalTempC", limitC);
    }

    /** As it was given for the terminals. */
    public static TerminalLimit given(double limitC) {
        return new TerminalLimit(limitC, Source.given(note("TerminalLimit.limit-of-the")), false, false);
    }

    /** Whether the land code's steps hold, since the terminals have no marking. */
    public boolean bySteps() {
        return source.equals(NEC);
    }

    /**
     * The limit in force; empty where nobody has said one.
     *
     * @param given of these terminals, °C
     * @param houseC what the house takes where none is given, °C; null for nothing
     */
    public static Optional<TerminalLimit> of(OptionalDouble given, RuleSet rules, @Nullable Double houseC) {
        if (given.isPresent()) {
            TerminalLimit limit = given(given.getAsDouble());
            boolean byTable = rules.isLand() && COLUMNS.contains(limit.limitC());
            return Optional.of(new TerminalLimit(limit.limitC(), limit.source(), false, byTable));
        }
        if (rules.isLand()) {
            return Optional.of(new TerminalLimit(LARGE_C, NEC, false, true));
        }
        return Optional.ofNullable(houseC)
                .map(limit ->
                        new TerminalLimit(limit, Source.practice(note("TerminalLimit.not-given-the")), true, false));
    }
}
