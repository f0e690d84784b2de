package org.ulnaris.app.plan;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.InsulationKind;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.DropLimit;

/**
 * What a person says about a cable.
 *
 * @param lengthM one way, stud to stud along the route, m
 * @param dropPercent allowed drop over the loop, %; null where nobody gave it
 * @param terminalTempC limit of the terminals, °C; null where nobody gave it
 * @param slackMm spare to cut, mm; null where it follows the run
 * @param clockDeg angle of the B lug to the A lug, °; null where it follows from the route, else 0
 * @param outerMm measured outside diameter, mm; null for the estimate
 * @param chosenSize designation of a size chosen by hand; null for the proposal
 * @param conduit whether it lies in a conduit
 * @param walled whether the insulation of a wall surrounds it
 * @param material what its insulation is made of; null where that is not known
 * @param extraJoints splices and other joints beside its two ends
 * @param legs the route as it was typed, leg by leg, where {@code lengthM} comes from it; null for one figure
 * @param bendMm radius of its tightest bend, mm; null when not known
 * @param currentA continuous current as it was typed, A; without meaning where it comes from the loads
 * @param currentFromLoads whether the current is worked out from the loads
 */
@Embeddable
public record CableDetails(
        String tag,
        String fromPoint,
        String toPoint,
        @Enumerated(EnumType.STRING) Polarity polarity,
        double currentA,
        double lengthM,
        @Nullable Double dropPercent,
        double insulationTempC,
        double ambientC,
        @Nullable Double terminalTempC,
        boolean engineSpace,
        boolean conduit,
        boolean walled,
        @Enumerated(EnumType.STRING) @Nullable InsulationKind material,
        int bundled,
        @Enumerated(EnumType.STRING) SizeSeries series,
        @Enumerated(EnumType.STRING) ConductorMetal metal,
        @Nullable Double slackMm,
        @Nullable Double clockDeg,
        @Nullable Double outerMm,
        @Nullable String chosenSize,
        int extraJoints,
        @Nullable String legs,
        @Nullable Double bendMm,
        boolean currentFromLoads) {
    public static final int LONGEST_TAG = Tags.LONGEST;
    public static final int LONGEST_POINT = 80;
    public static final Range SLACK_MM = Range.from(0, 5000);
    public static final Range CLOCK_DEG = Range.from(-180, 180);
    public static final Range OUTER_MM = new Range(0, 100);
    public static final Range BEND_MM = new Range(0, 1000);
    public static final int LONGEST_ROUTE = 120;

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
                null,
                105,
                30,
                null,
                false,
                false,
                false,
                null,
                2,
                series,
                ConductorMetal.copper(marine),
                null,
                null,
                null,
                null,
                0,
                null,
                null,
                false);
    }

    /** The same cable under another tag. */
    public CableDetails tagged(String newTag) {
        return Records.with(this, Map.of("tag", newTag));
    }

    /** The same cable in a size chosen by hand; null for the proposal. */
    public CableDetails sized(@Nullable String designation) {
        return Records.with(this, Collections.singletonMap("chosenSize", designation));
    }

    /** The same cable under a current that is typed, whatever the loads ask. */
    public CableDetails typed(double newCurrentA) {
        return Records.with(this, Map.of("currentA", newCurrentA, "currentFromLoads", false));
    }

    /** The same cable under what the loads ask, which is not known while none does. */
    public CableDetails byLoads() {
        return Records.with(this, Map.of("currentFromLoads", true));
    }

    /** The same cable under another current. */
    public CableDetails carrying(double newCurrentA) {
        return Records.with(this, Map.of("currentA", newCurrentA));
    }

    /** The same cable along another way. */
    public CableDetails along(double newLengthM, @Nullable String newLegs) {
        return Records.with(
                Records.with(this, Map.of("lengthM", newLengthM)), Collections.singletonMap("legs", newLegs));
    }

    /** The same cable from nowhere to nowhere. */
    public CableDetails unplaced() {
        return Records.with(this, Map.of("fromPoint", "", "toPoint", ""));
    }

    /** The same cable between other ends. */
    CableDetails between(String from, String to) {
        return Records.with(this, Map.of("fromPoint", from, "toPoint", to));
    }

    /** The same cable as the negative of a pair. */
    CableDetails returning(String from, String to) {
        return Records.with(this, Map.of("fromPoint", from, "toPoint", to, "polarity", Polarity.NEGATIVE));
    }

    /**
     * What holds of a cable where nobody said it.
     *
     * @param slackMm spare of its run, mm
     * @param drop allowed drop over the loop
     */
    public record Usual(double slackMm, DropLimit drop) {}

    /** The cable with its ends, as the core knows it. */
    public CableModel model(EndModel a, EndModel b, Usual usual) {
        return new CableModel(
                tag,
                new CableModel.Points(fromPoint, toPoint),
                polarity.pole(),
                currentFromLoads ? OptionalDouble.empty() : OptionalDouble.of(currentA),
                new Run.Laying(
                        new AmpacityConditions(insulationTempC, ambientC, engineSpace, bundled, conduit, walled),
                        optional(terminalTempC),
                        series,
                        metal,
                        dropPercent == null ? usual.drop() : DropLimit.given(dropPercent),
                        material,
                        a.soldered() || b.soldered()),
                new CableModel.Way(lengthM, route(), slackMm == null ? usual.slackMm() : slackMm, optional(clockDeg)),
                optional(outerMm),
                chosenSize,
                extraJoints,
                a,
                b);
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** Its way leg by leg; empty when its length was typed as one figure. */
    public Optional<CableRoute> route() {
        return Optional.ofNullable(legs).map(text -> CableRoute.parse(text, Unit.M, bendMm == null ? 0 : bendMm));
    }
}
