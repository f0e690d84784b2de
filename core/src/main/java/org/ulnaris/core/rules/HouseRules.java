package org.ulnaris.core.rules;

import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.protection.Placement.School;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rating.RuleSet;

/**
 * The house's choice where practice differs.
 *
 * @param placement school for the place of the fuse; null: that of the ampacity method
 * @param heatBalanceDecides whether the heat balance may refuse a size that the table allows
 * @param mostLugs lugs on one stud at most
 * @param bendDiameters good bend radius in outside diameters of the cable
 * @param margins how far a fuse stays from load and ampacity
 */
public record HouseRules(
        @Nullable School placement,
        boolean heatBalanceDecides,
        int mostLugs,
        double bendDiameters,
        ProtectedCable.Margins margins) {
    public static final Range MOST_LUGS = new Range(0, 20);
    public static final Range BEND_DIAMETERS = new Range(1, 20);

    /** What holds where the house says nothing. */
    public static final HouseRules USUAL = new HouseRules(null, true, 4, 5, ProtectedCable.Margins.USUAL);

    public HouseRules {
        MOST_LUGS.check("mostLugs", mostLugs);
        BEND_DIAMETERS.check("bendDiameters", bendDiameters);
    }

    /** School for the place of the fuse in a job under {@code rules}. */
    public School placement(RuleSet rules) {
        if (placement != null) {
            return placement;
        }
        return switch (rules) {
            case CFR_183_425 -> School.US_MARINE;
            case ISO_SMALL_CRAFT -> School.ISO_MARINE;
            case NEC_FREE_AIR, NEC_RACEWAY -> School.LAND;
        };
    }
}
