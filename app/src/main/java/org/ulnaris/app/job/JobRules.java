package org.ulnaris.app.job;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.making.Slack;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.protection.Placement.School;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.rules.Practices;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.DropLimit;

/**
 * The house's choice where practice differs, of the shop or of one job.
 *
 * @param placement school for the place of the fuse; null: that of the ampacity method
 * @param heatBalanceDecides whether the heat balance may refuse a size that the table allows
 * @param sizeMarginPercent share of a limit that a clean pass leaves free, %
 * @param cleanProposal whether a proposal is a clean pass; else the thinnest size that nothing stops
 * @param terminalC what terminals are taken to stand where nobody gave it, °C; null: nothing
 * @param mostLugs lugs on one stud at most
 * @param bendDiameters good bend radius in outside diameters
 * @param newDropPercent drop that a cable or load is allowed where nobody gives it, %
 * @param slackMm spare of a run of which nobody typed it, mm
 * @param slackMovingMm the same of a run to what moves, mm
 * @param sealedTerminals whether small terminals that let water in are refused where things move and get wet
 * @param fuseOverLoadPercent rating of a fuse against the continuous current, at least, %
 * @param fuseOverAmpacityPercent rating against the ampacity, at most, where no standard rating fits, %
 * @param practices the schools of the bench
 * @param facing where red lies on the mating side of a pair of connectors, hood up
 */
@Embeddable
public record JobRules(
        @Enumerated(EnumType.STRING) @Nullable School placement,
        boolean heatBalanceDecides,
        double sizeMarginPercent,
        boolean cleanProposal,
        @Column(name = "terminal_c") @Nullable Double terminalC,
        int mostLugs,
        double bendDiameters,
        double newDropPercent,
        double slackMm,
        double slackMovingMm,
        boolean sealedTerminals,
        @Enumerated(EnumType.STRING) Facing facing,
        double fuseOverLoadPercent,
        double fuseOverAmpacityPercent,
        @Convert(converter = PracticesText.class) Practices practices) {
    /** Where red lies, seen on the mating side, hood up. */
    public enum Facing {
        RED_LEFT,
        RED_RIGHT
    }

    public static final Range NEW_DROP_PERCENT = new Range(0, 50);
    public static final Range SLACK_MM = Range.from(0, 5000);

    /** Motors that seldom run stand a tenth (common practice; small-craft standards: 10 % where no more is asked). */
    private static final double MOTOR_DROP_PERCENT = 10;

    public static final JobRules USUAL = new JobRules(
            HouseRules.USUAL.placement(),
            HouseRules.USUAL.sizes().heatBalanceDecides(),
            100 * HouseRules.USUAL.sizes().margin(),
            HouseRules.USUAL.sizes().cleanPass(),
            HouseRules.USUAL.terminalC(),
            HouseRules.USUAL.mostLugs(),
            HouseRules.USUAL.bendDiameters(),
            3,
            150,
            250,
            true,
            Facing.RED_LEFT,
            100 * ProtectedCable.Margins.USUAL.overLoad(),
            100 * ProtectedCable.Margins.USUAL.overAmpacity(),
            Practices.USUAL);

    /** What a run has to spare where nobody typed it, mm. */
    public double slackMm(Slack slack) {
        return switch (slack) {
            case NONE -> 0;
            case USUAL -> slackMm;
            case MOVING -> slackMovingMm;
        };
    }

    /** What may be lost where nobody gave it; motors stand more. */
    public DropLimit usualDrop(boolean motor) {
        return DropLimit.usual(motor ? Math.max(MOTOR_DROP_PERCENT, newDropPercent) : newDropPercent);
    }

    /** As the core knows them. */
    public HouseRules house() {
        return new HouseRules(
                placement,
                new SizePolicy(heatBalanceDecides, sizeMarginPercent / 100, cleanProposal),
                mostLugs,
                bendDiameters,
                terminalC,
                new ProtectedCable.Margins(fuseOverLoadPercent / 100, fuseOverAmpacityPercent / 100));
    }
}
