package org.ulnaris.core.tooling;

import java.time.LocalDate;
import java.util.Objects;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Range;

/**
 * A joint made to be pulled or cut open.
 *
 * @param made when
 * @param voidsPercent open area of the section, by eye against a drawn scale or from a photo, %; empty when it was not cut
 * @param pull how it was pulled; {@link Pull#NONE} when it was not
 */
public record Sample(LocalDate made, OptionalDouble voidsPercent, Pull pull) {
    public static final Range VOIDS_PERCENT = Range.from(0, 60);
    public static final Range FORCE_N = new Range(0, 200_000);
    /** Open area that still counts as one piece of metal, and as far as it may go (ours), %. */
    static final Bands VOIDS = new Bands(-1, 0, 2, 5);

    /** Where a pulled sample gave way. */
    public enum Parted {
        /** Not pulled. */
        NOT_PULLED,
        /** It held. */
        HELD,
        /** The conductor broke beside the crimp. */
        CONDUCTOR,
        /** The conductor came out of the barrel. */
        BARREL
    }

    /**
     * A pull.
     *
     * @param reachedN greatest force, N
     * @param requiredN what the table asks of this conductor, N; 0 where it asks nothing
     * @param parted where it gave way
     */
    public record Pull(double reachedN, double requiredN, Parted parted) {
        public static final Pull NONE = new Pull(0, 0, Parted.NOT_PULLED);

        public Pull {
            Objects.requireNonNull(parted, "parted");
        }

        /** Below the table it stops; above it a conductor that still came out is to be watched. */
        public Verdict verdict() {
            if (parted == Parted.NOT_PULLED) {
                return Verdict.PASS;
            }
            if (!(reachedN >= requiredN)) {
                return Verdict.STOP;
            }
            return parted == Parted.BARREL ? Verdict.WATCH : Verdict.PASS;
        }
    }

    public Sample {
        Objects.requireNonNull(made, "made");
        Objects.requireNonNull(pull, "pull");
        voidsPercent.ifPresent(voids -> VOIDS_PERCENT.check("voidsPercent", voids));
    }

    /** Worse of section and pull. */
    public Verdict verdict() {
        Verdict section = voidsPercent.isPresent() ? VOIDS.judge(voidsPercent.getAsDouble()) : Verdict.PASS;
        return section.and(pull.verdict());
    }

    /** Whether it says anything: cut open or pulled. */
    public boolean tested() {
        return voidsPercent.isPresent() || pull.parted() != Parted.NOT_PULLED;
    }
}
