package org.ulnaris.core.sizing;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;

/**
 * The sizes of a cable, and the one in use: chosen by hand, else proposed, else the thickest.
 *
 * @param result the ladder
 * @param inUse the rung in use
 * @param byHand whether a person chose it
 */
public record SizeChoice(SizingResult result, Rung inUse, boolean byHand) {
    /** Sizes {@code demand}; a {@code chosen} size holds whether or not the ladder has it. */
    public static SizeChoice of(CableDemand demand, @Nullable ConductorSize chosen) {
        return of(demand, chosen, null);
    }

    /** The same, where Ulnaris chooses not thinner than {@code least}; null for any. */
    public static SizeChoice of(CableDemand demand, @Nullable ConductorSize chosen, @Nullable ConductorSize least) {
        SizingResult result = CableSizer.size(demand, least);
        Optional<Rung> byHand = Optional.ofNullable(chosen)
                .map(size -> result.rung(size).orElseGet(() -> CableSizer.rung(demand, size)));
        return new SizeChoice(result, byHand.orElseGet(() -> proposed(result)), byHand.isPresent());
    }

    private static Rung proposed(SizingResult result) {
        return result.chosen().orElseGet(() -> result.rungs().get(result.rungs().size() - 1));
    }

    public Conductor conductor() {
        return inUse.conductor();
    }
}
