package org.ulnaris.core.termination;

import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import org.ulnaris.core.measure.Range;

/**
 * What a lug is beyond tube and pad.
 *
 * @param angleDeg angle of the barrel to the pad: 0, 45 or 90°
 * @param holes its holes
 * @param body how tube and pad are made
 * @param conductors how many conductors its barrel is rated for
 */
public record LugForm(int angleDeg, Holes holes, Body body, int conductors) {
    /** Angles that lugs are made with, °. */
    public static final Set<Integer> ANGLES_DEG = Set.of(0, 45, 90);

    public static final int MOST_CONDUCTORS = 2;

    /** A straight tinned copper lug with one hole, for one conductor. */
    public static final LugForm PLAIN = new LugForm(0, Holes.ONE, Body.TINNED_COPPER, 1);

    public LugForm {
        Objects.requireNonNull(holes, "holes");
        Objects.requireNonNull(body, "body");
        if (!ANGLES_DEG.contains(angleDeg)) {
            throw new IllegalArgumentException("a lug is straight, or bent by 45° or 90°; have " + angleDeg);
        }
        if (conductors < 1 || conductors > MOST_CONDUCTORS) {
            throw new IllegalArgumentException("a lug takes one or two conductors; have " + conductors);
        }
    }

    /**
     * Holes in the pad.
     *
     * @param pitchMm from the first hole to a second, mm; empty of a lug with one
     */
    public record Holes(OptionalDouble pitchMm) {
        public static final Range PITCH_MM = new Range(0, 120);
        public static final Holes ONE = new Holes(OptionalDouble.empty());

        public Holes {
            pitchMm.ifPresent(pitch -> PITCH_MM.check("pitchMm", pitch));
        }
    }

    /**
     * How tube and pad are made.
     *
     * @param pad metal of the pad; another than the tube's in a bimetal lug
     * @param tinned whether it is tinned
     * @param window whether it has an inspection window
     * @param bellMouth whether its mouth is widened
     */
    public record Body(LugMaterial pad, boolean tinned, boolean window, boolean bellMouth) {
        public static final Body TINNED_COPPER = new Body(LugMaterial.COPPER, true, false, false);

        public Body {
            Objects.requireNonNull(pad, "pad");
        }
    }

    /** A plain lug of {@code material}; aluminium is left bare. */
    public static LugForm plain(LugMaterial material) {
        return material == LugMaterial.COPPER
                ? PLAIN
                : new LugForm(0, Holes.ONE, new Body(material, false, false, false), 1);
    }
}
