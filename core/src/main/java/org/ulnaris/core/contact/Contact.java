package org.ulnaris.core.contact;

import java.util.Objects;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;

/**
 * A termination of one of the smaller families.
 *
 * @param code its name in the catalogue
 * @param family its family
 * @param style its form
 * @param wire conductors that it takes
 * @param stripMm insulation to take off, mm
 * @param seat how it sits
 * @param source standard or catalogue
 */
public record Contact(String code, Family family, Style style, Wire wire, double stripMm, Seat seat, Source source) {
    public static final Range STRIP_MM = new Range(0, 60);

    public Contact {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(source, "source");
        STRIP_MM.check("stripMm", stripMm);
    }

    /**
     * Conductors that a contact takes.
     *
     * @param fromMm2 smallest, mm²
     * @param toMm2 largest, mm²
     * @param tightMm2 largest that still goes in at a squeeze, mm²; empty when none
     * @param ratedA its own rating, A; empty where the wire limits
     */
    public record Wire(double fromMm2, double toMm2, OptionalDouble tightMm2, OptionalDouble ratedA) {
        public Wire {
            if (!(fromMm2 > 0 && fromMm2 <= toMm2)) {
                throw new IllegalArgumentException("range of wires is empty: " + fromMm2 + " to " + toMm2);
            }
        }
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
            @org.jspecify.annotations.Nullable Range seal,
            OptionalDouble nutNm) {}
}
