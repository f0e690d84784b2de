package org.ulnaris.core.rating;

import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Source;

/** A published way to rate the current that a conductor may carry. */
public interface AmpacityMethod {
    /** Publication and table. */
    Source source();

    /** Publication of the bundling factors. */
    Source bundlingSource();

    /** Highest system voltage that the table is meant for, V; infinity when it sets none. */
    double upToVoltageV();

    /** Corrections under {@code conditions}: I_z = table × ambient × bundling × engine space. */
    Derating derate(AmpacityConditions conditions);

    /**
     * The table's figure for {@code conductor} in the column {@code columnTempC}; null where the table has neither the size nor
     * a smaller one. Between rows the largest row not above the area is used, never interpolation. Where the publication knows copper
     * only, other metals stand at √(ρ_Cu/ρ) of it.
     */
    @Nullable
    TableRating rating(Conductor conductor, double columnTempC);

    /** The same for {@code size} of copper. */
    default @Nullable TableRating rating(ConductorSize size, double columnTempC) {
        return rating(new Conductor(size, ConductorMetal.COPPER), columnTempC);
    }

    /** Whether the publication lets conductors of {@code metal} be used. */
    boolean knows(ConductorMetal metal);
}
