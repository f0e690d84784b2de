package org.ulnaris.app.plan;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Range;

/**
 * What a person says about a cable.
 *
 * @param lengthM one way, stud to stud along the route, m
 * @param dropPercent allowed drop over the loop, %
 * @param terminalTempC limit of the terminals, °C; null when not below the insulation's
 * @param slackMm spare to cut, mm
 * @param clockDeg angle of the B lug to the A lug, °
 * @param outerMm measured outside diameter, mm; null for the estimate
 * @param chosenSize designation of a size chosen by hand; null for the proposal
 * @param currentFromLoads whether the current is worked out from the loads; {@code currentA} then holds the last outcome, A
 */
@Embeddable
public record CableDetails(
        String tag,
        String fromPoint,
        String toPoint,
        @Enumerated(EnumType.STRING) Polarity polarity,
        double currentA,
        double lengthM,
        double dropPercent,
        double insulationTempC,
        double ambientC,
        @Nullable Double terminalTempC,
        boolean engineSpace,
        int bundled,
        @Enumerated(EnumType.STRING) SizeSeries series,
        boolean tinned,
        double slackMm,
        double clockDeg,
        @Nullable Double outerMm,
        @Nullable String chosenSize,
        boolean currentFromLoads) {
    public static final int LONGEST_TAG = 24;
    public static final int LONGEST_POINT = 80;
    public static final Range SLACK_MM = new Range(-1e-9, 5000);
    public static final Range CLOCK_DEG = new Range(-180.000001, 180);
    public static final Range OUTER_MM = new Range(0, 100);

    private static final double USUAL_SLACK_MM = 150;

    /** What a new cable of {@code job} starts from. */
    public static CableDetails fresh(JobDetails job, String tag) {
        boolean marine = job.kind() == JobKind.MARINE;
        SizeSeries series = job.units() == Units.US ? SizeSeries.AWG : SizeSeries.METRIC;
        return new CableDetails(
                tag,
                "",
                "",
                Polarity.POSITIVE,
                10,
                1,
                3,
                105,
                30,
                null,
                false,
                2,
                series,
                marine,
                USUAL_SLACK_MM,
                0,
                null,
                null,
                false);
    }

    /** The same cable under another tag. */
    public CableDetails tagged(String newTag) {
        return new CableDetails(
                newTag,
                fromPoint,
                toPoint,
                polarity,
                currentA,
                lengthM,
                dropPercent,
                insulationTempC,
                ambientC,
                terminalTempC,
                engineSpace,
                bundled,
                series,
                tinned,
                slackMm,
                clockDeg,
                outerMm,
                chosenSize,
                currentFromLoads);
    }

    /** The same cable in a size chosen by hand. */
    public CableDetails sized(String designation) {
        return new CableDetails(
                tag,
                fromPoint,
                toPoint,
                polarity,
                currentA,
                lengthM,
                dropPercent,
                insulationTempC,
                ambientC,
                terminalTempC,
                engineSpace,
                bundled,
                series,
                tinned,
                slackMm,
                clockDeg,
                outerMm,
                designation,
                currentFromLoads);
    }

    /** The same cable under another current. */
    CableDetails carrying(double newCurrentA) {
        return new CableDetails(
                tag,
                fromPoint,
                toPoint,
                polarity,
                newCurrentA,
                lengthM,
                dropPercent,
                insulationTempC,
                ambientC,
                terminalTempC,
                engineSpace,
                bundled,
                series,
                tinned,
                slackMm,
                clockDeg,
                outerMm,
                chosenSize,
                currentFromLoads);
    }
}
