package org.ulnaris.core.termination;

import java.util.Objects;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.rules.HouseRules;

/**
 * What a lug has to meet.
 *
 * @param cable conductor and diameters
 * @param conductors how many such conductors go into one barrel
 * @param landing where it goes
 * @param place where the cable works
 * @param bendDiameters good bend radius of the house, outside diameters
 */
public record LugDemand(CableGeometry cable, int conductors, Landing landing, Place place, double bendDiameters) {
    public LugDemand {
        Objects.requireNonNull(cable, "cable");
        Objects.requireNonNull(landing, "landing");
        Objects.requireNonNull(place, "place");
        if (conductors < 1 || conductors > LugForm.MOST_CONDUCTORS) {
            throw new IllegalArgumentException("one or two conductors go into a lug; have " + conductors);
        }
    }

    /** Under the usual bend. */
    public LugDemand(CableGeometry cable, int conductors, Landing landing, Place place) {
        this(cable, conductors, landing, place, HouseRules.USUAL.bendDiameters());
    }

    /** One conductor in a dry place. */
    public LugDemand(CableGeometry cable, Landing landing) {
        this(cable, 1, landing, Place.CABIN);
    }

    /** Whether the strands are copper. */
    boolean isCopper() {
        return cable.conductor().metal().isCopper();
    }

    /** Metal of all conductors in the barrel, mm². */
    public double areaMm2() {
        return conductors * cable.conductor().size().areaMm2();
    }

    /** Diameter of all strands laid together, mm. */
    public double bundleMm() {
        return Math.sqrt(conductors) * cable.bundleMm();
    }
}
