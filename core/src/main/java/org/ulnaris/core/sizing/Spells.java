package org.ulnaris.core.sizing;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.rating.WarmingUp;

/**
 * What a cable carries where loads work and rest by turns.
 *
 * @param steadyA the most that flows for good: in a case in which nothing rests that it feeds, A
 * @param all a spell for each case in which something does
 */
public record Spells(double steadyA, List<Spell> all) {
    private static final Range CURRENT_A = new Range(-1e-9, 1e12);
    private static final Range SECONDS = new Range(0, 86_400);

    public Spells {
        CURRENT_A.check("steadyA", steadyA);
        all = List.copyOf(all);
    }

    /**
     * Work and rest of one load, all else going on.
     *
     * @param onA what flows while it works, A
     * @param offA what flows while it rests, A
     * @param onS how long it works, s
     * @param offS how long it then rests, s
     */
    public record Spell(double onA, double offA, double onS, double offS) {
        public Spell {
            CURRENT_A.check("onA", onA);
            CURRENT_A.check("offA", offA);
            SECONDS.check("onS", onS);
            SECONDS.check("offS", offS);
        }

        /**
         * The current that would heat {@code cable} for good as much as it is heated at the end of each spell, A: the peak of the cycle by
         * one time constant, heat going with the square of the current.
         */
        double heatingA(WarmingUp cable) {
            return Math.sqrt(offA * offA + (onA * onA - offA * offA) * cable.dutyShare(onS, offS));
        }
    }

    /**
     * What heats a cable.
     *
     * @param currentA the current that would heat it for good as much, A
     * @param spell the spell at whose end that is; null where something flows for good that heats it more
     */
    public record Heating(double currentA, @Nullable Spell spell) {}

    /** The same of a cable that carries {@code share} of the current. */
    Spells share(double share) {
        return new Spells(
                share * steadyA,
                all.stream()
                        .map(spell -> new Spell(share * spell.onA(), share * spell.offA(), spell.onS(), spell.offS()))
                        .toList());
    }

    /** What heats {@code cable} most. */
    Heating heating(WarmingUp cable) {
        Heating most = new Heating(steadyA, null);
        for (Spell spell : all) {
            double ampere = spell.heatingA(cable);
            if (ampere > most.currentA()) {
                most = new Heating(ampere, spell);
            }
        }
        return most;
    }
}
