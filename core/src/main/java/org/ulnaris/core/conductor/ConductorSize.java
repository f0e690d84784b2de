package org.ulnaris.core.conductor;

import java.util.Objects;

/**
 * A conductor size: an area with a name.
 *
 * @param series the series that it belongs to
 * @param name name within the series: {@code 2}, {@code 2/0}, {@code 70}
 * @param areaMm2 conductor area in mm²
 */
public record ConductorSize(SizeSeries series, String name, double areaMm2) {
    public ConductorSize {
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(name, "name");
        if (!(areaMm2 > 0 && areaMm2 < 2000)) {
            throw new IllegalArgumentException("area must be above 0 and below 2000 mm²; have " + areaMm2);
        }
    }

    /** Name with its series: {@code 2/0 AWG}, {@code 70 mm²}. */
    public String designation() {
        return series == SizeSeries.AWG ? name + " AWG" : name + " mm²";
    }
}
