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
 * @param sizes how a size is chosen
 * @param mostLugs lugs on one stud at most
 * @param bendDiameters good bend radius in outside diameters of the cable
 * @param terminalC what the terminals are taken to stand where nobody gave it, °C; null: nothing is taken
 * @param margins how far a fuse stays from load and ampacity
 */
public record HouseRules(
        @Nullable School placement,
        SizePolicy sizes,
        int mostLugs,
        double bendDiameters,
        @Nullable Double terminalC,
        ProtectedCable.Margins margins) {
    public static final Range MOST_LUGS = new Range(0, 20);
    public static final Range BEND_DIAMETERS = new Range(1, 20);

    /** What holds where the house says nothing. */
    public static final HouseRules USUAL =
            new HouseRules(null, SizePolicy.USUAL, 4, 5, 75.0, ProtectedCable.Margins.USUAL);

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
