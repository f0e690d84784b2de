package org.ulnaris.app.plan;

import static org.ulnaris.app.plan.CableField.Trait.EMPTY_SAYS;
import static org.ulnaris.app.plan.CableField.Trait.FOLDED;
import static org.ulnaris.app.plan.CableField.Trait.NEEDED;
import static org.ulnaris.app.plan.CableField.Trait.OF_MANY;
import static org.ulnaris.app.plan.CableField.Trait.RESTED_ON;
import static org.ulnaris.app.plan.CableField.Trait.TOGETHER;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.InsulationKind;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.TerminalLimit;

/**
 * A field of a cable. Its form, the folded line of what is known, the change of many at once, the table, and the check of job files and
 * trials follow from its row in {@link #ALL}. A new one is a row here, a component of {@link CableDetails} with what a new cable starts from,
 * its words ({@code field.KEY}, an example {@code example.KEY}) and a migration.
 *
 * @param key its name in forms
 * @param part the component of {@link CableDetails} that keeps it
 * @param column of the table
 * @param kind how it is entered
 * @param traits where it is met
 */
public record CableField(String key, String part, String column, FieldKind kind, Set<Trait> traits) {
    /** Where a field is met, beside the form of its cable. */
    public enum Trait {
        /** A new cable has to say it: it starts from nothing that anybody could mean. */
        NEEDED,
        /** It seldom changes the answer and stands folded away. */
        FOLDED,
        /** The answer rests on it when nothing was said. */
        RESTED_ON,
        /** Many cables can be given it at once. */
        OF_MANY,
        /** It needs others to be read: {@link CableReader} does. */
        TOGETHER,
        /** Empty, it says something though a new cable has to say it. */
        EMPTY_SAYS
    }

    /** All fields, in the order in which they are asked for. */
    public static final List<CableField> ALL = List.of(
            row("tag", "tag", FieldKind.text(CableDetails.LONGEST_TAG, true), NEEDED),
            row("from", "fromPoint", FieldKind.text(CableDetails.LONGEST_POINT, false)),
            row("to", "toPoint", FieldKind.text(CableDetails.LONGEST_POINT, false)),
            row("polarity", "polarity", FieldKind.choice(Polarity.class), FOLDED),
            row(
                    "current",
                    "currentA",
                    FieldKind.quantity(Unit.AMPERE, CableDemand.Load.CURRENT_A),
                    NEEDED,
                    TOGETHER,
                    EMPTY_SAYS),
            row("length", "lengthM", FieldKind.quantity(Unit.M, CableDemand.Load.ONE_WAY_LENGTH_M), NEEDED, TOGETHER),
            row(
                    "drop",
                    "dropPercent",
                    FieldKind.optionalQuantity(Unit.PERCENT, CableDemand.Load.MAX_DROP_PERCENT),
                    RESTED_ON,
                    OF_MANY),
            row("bundled", "bundled", FieldKind.count(AmpacityConditions.BUNDLED), FOLDED, RESTED_ON, OF_MANY),
            row(
                    "insulation",
                    "insulationTempC",
                    FieldKind.quantity(Unit.CELSIUS, AmpacityConditions.INSULATION_TEMP_C),
                    FOLDED,
                    RESTED_ON,
                    OF_MANY),
            row("material", "material", FieldKind.optionalChoice(InsulationKind.class), FOLDED, OF_MANY)
                    .inColumn("insulation_of"),
            row(
                    "ambient",
                    "ambientC",
                    FieldKind.quantity(Unit.CELSIUS, AmpacityConditions.AMBIENT_C),
                    FOLDED,
                    RESTED_ON,
                    OF_MANY),
            row(
                    "terminal",
                    "terminalTempC",
                    FieldKind.optionalQuantity(Unit.CELSIUS, TerminalLimit.LIMIT_C),
                    FOLDED,
                    RESTED_ON,
                    OF_MANY),
            row("series", "series", FieldKind.choice(SizeSeries.class), FOLDED, OF_MANY),
            row("strands", "metal", FieldKind.choice(ConductorMetal.class), FOLDED, RESTED_ON, OF_MANY),
            row("engineSpace", "engineSpace", FieldKind.flag(), FOLDED, OF_MANY).inColumn("engine_space"),
            row("conduit", "conduit", FieldKind.flag(), FOLDED, OF_MANY),
            row("walled", "walled", FieldKind.flag(), FOLDED, OF_MANY).inColumn("in_wall"),
            row(
                    "slack",
                    "slackMm",
                    FieldKind.optionalQuantity(Unit.MM, CableDetails.SLACK_MM),
                    FOLDED,
                    RESTED_ON,
                    OF_MANY),
            row("bend", "bendMm", FieldKind.optionalQuantity(Unit.MM, CableDetails.BEND_MM), FOLDED)
                    .inColumn("bend_radius"),
            row("joints", "extraJoints", FieldKind.count(Run.EXTRA_JOINTS), FOLDED)
                    .inColumn("extra_joints"),
            row("clock", "clockDeg", FieldKind.optionalQuantity(Unit.DEGREE, CableDetails.CLOCK_DEG), FOLDED),
            row("outer", "outerMm", FieldKind.optionalQuantity(Unit.MM, CableDetails.OUTER_MM), FOLDED)
                    .inColumn("outer_diameter"),
            row("size", "chosenSize", FieldKind.readWithOthers(), TOGETHER, OF_MANY));

    private static CableField row(String key, String part, FieldKind kind, Trait... traits) {
        Set<Trait> all = EnumSet.noneOf(Trait.class);
        all.addAll(List.of(traits));
        return new CableField(key, part, key, kind, all);
    }

    private CableField inColumn(String name) {
        return new CableField(key, part, name, kind, traits);
    }

    /** The fields with a trait. */
    static List<CableField> with(Trait trait) {
        return ALL.stream().filter(field -> field.traits.contains(trait)).toList();
    }

    /** Keys of the fields with a trait. */
    public static List<String> keys(Trait trait) {
        return with(trait).stream().map(CableField::key).toList();
    }

    /** The field {@code key}. */
    static CableField of(String key) {
        return ALL.stream().filter(field -> field.key.equals(key)).findFirst().orElseThrow();
    }

    /** Whether an empty cell of the table says that nothing is known, rather than leave what stands. */
    public boolean emptySays() {
        return kind.mayBeEmpty() || traits.contains(EMPTY_SAYS);
    }

    /** What was typed of it, over what stands. */
    @Nullable
    Object read(Entries entries, CableDetails standing) {
        return kind.reading().of(entries, key, Records.part(standing, part));
    }

    /** As text that can be read again. */
    String text(CableDetails cable, Fmt fmt) {
        return kind.telling().of(Records.part(cable, part), fmt);
    }
}
