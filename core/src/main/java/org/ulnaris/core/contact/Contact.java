package org.ulnaris.core.contact;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A termination of one of the smaller families.
 *
 * @param code its name in the catalogue
 * @param family its family
 * @param style its form
 * @param wire conductors that it takes
 * @param stripMm insulation to take off, mm
 * @param seat how it sits
 * @param measuredTube its tube as it was measured or a standard gives it; null when it is not known or there is none
 * @param source standard or catalogue
 */
public record Contact(
        String code,
        Family family,
        Style style,
        Wire wire,
        double stripMm,
        Seat seat,
        @Nullable Barrel measuredTube,
        Source source) {
    public static final Range STRIP_MM = new Range(0, 60);

    private static final double TUBE_FILL = 0.65;
    private static final double WALL_BASE_MM = 0.5;
    private static final double WALL_SHARE = 0.12;

    public Contact {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(source, "source");
        STRIP_MM.check("stripMm", stripMm);
    }

    /** A contact of whose tube nothing is known. */
    public Contact(String code, Family family, Style style, Wire wire, double stripMm, Seat seat, Source source) {
        this(code, family, style, wire, stripMm, seat, null, source);
    }

    /**
     * Conductors that a contact takes.
     *
     * @param fromMm2 smallest, mm²
     * @param toMm2 largest, mm²
     * @param tightMm2 largest that still goes in at a squeeze, mm²; empty when none
     * @param ratedA its own rating, A; empty where the wire limits
     * @param reducedMm2 smallest that a reducing sleeve lets it take, mm²; empty without one
     */
    public record Wire(
            double fromMm2, double toMm2, OptionalDouble tightMm2, OptionalDouble ratedA, OptionalDouble reducedMm2) {
        /** Without a reducing sleeve. */
        public Wire(double fromMm2, double toMm2, OptionalDouble tightMm2, OptionalDouble ratedA) {
            this(fromMm2, toMm2, tightMm2, ratedA, OptionalDouble.empty());
        }

        public Wire {
            if (!(fromMm2 > 0 && fromMm2 <= toMm2)) {
                throw new IllegalArgumentException("range of wires is empty: " + fromMm2 + " to " + toMm2);
            }
        }
    }

    /**
     * Its tube where it has a closed one that dies press, as it was measured; of a two-pole contact else estimated (ours: bore for a fill of {@value #TUBE_FILL} at its largest wire, wall
     * {@value #WALL_BASE_MM} mm + {@value #WALL_SHARE} of the bore; measure the part); empty of open barrels and sleeves.
     */
    public Optional<Barrel> tube() {
        if (measuredTube != null) {
            return Optional.of(measuredTube);
        }
        if (family != Family.TWO_POLE) {
            return Optional.empty();
        }
        double bore = Math.sqrt(4 * wire.toMm2() / (Math.PI * TUBE_FILL));
        double outer = bore + 2 * (WALL_BASE_MM + WALL_SHARE * bore);
        return Optional.of(new Barrel(LugMaterial.COPPER, outer, bore, seat.depthMm()));
    }

    /**
     * How a contact sits in its housing.
     *
     * @param housing its shell or frame; empty for none
     * @param depthMm how deep the conductor goes in, mm
     * @param reachMm mating face to the mouth of its barrel, mm
     * @param heightMm outside of the shell, mm
     * @param seal cable diameters that the shell's entry grips, mm; null for any
     * @param nutNm torque of its nut, N·m; empty without one
     */
    public record Seat(
            String housing,
            double depthMm,
            double reachMm,
            double heightMm,
            @Nullable Range seal,
            OptionalDouble nutNm) {}
}
