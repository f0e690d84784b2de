package org.ulnaris.app.loads;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.DeclaredField;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;

/**
 * A field of equipment beside its tag, its name and its terminals. Its form, its line in the list, the check of job files and trials follow
 * from its row in {@link #ALL}; which kinds have it, {@link EquipmentKind} says. A new one is a row here, a component of
 * {@link EquipmentDetails}, its words ({@code equipment.KEY} with a hint, {@code field.KEY}) and a migration.
 *
 * @param key its name in forms
 * @param part the component of {@link EquipmentDetails} that keeps it
 * @param usual how it is entered
 * @param elsewhere how it is entered of a kind of which more or less has to be said
 */
record EquipmentField(String key, String part, FieldKind usual, Map<EquipmentKind, FieldKind> elsewhere) {
    /** Printed with a minus or without; either way a panel's voltage falls as it warms. */
    private static final Range COEFFICIENT_PERCENT = Range.from(-1, 1);

    private static final Range EFFICIENCY_PERCENT = new Range(0, 100);

    /** All fields. */
    static final List<EquipmentField> ALL = List.of(
            row("chemistry", "chemistry", FieldKind.choice(Chemistry.class).starting(Chemistry.LITHIUM_IRON)),
            row("inSeries", "inSeries", FieldKind.count(Device.BankBuild.COUNT).starting(1)),
            row(
                    "inParallel",
                    "inParallel",
                    FieldKind.count(Device.BankBuild.COUNT).starting(1)),
            row("capacity", "capacityAh", FieldKind.neededQuantity(Unit.AMPERE_HOUR, Device.BankBuild.UNIT_AH)),
            row("ohm", "ohm", FieldKind.neededQuantity(Unit.OHM, Device.Link.OHM))
                    .but(EquipmentKind.BANK, FieldKind.optionalQuantity(Unit.OHM, Device.BankBuild.UNIT_OHM)),
            row("power", "powerW", FieldKind.neededQuantity(Unit.WATT, Device.Draw.VALUE)),
            row("current", "currentA", FieldKind.neededQuantity(Unit.AMPERE, Device.Charger.MAX_A)),
            row("efficiency", "efficiencyPercent", FieldKind.neededQuantity(Unit.PERCENT, EFFICIENCY_PERCENT)),
            row("lowest", "lowestV", FieldKind.neededQuantity(Unit.VOLT, Device.Draw.LOWEST_V)),
            row("surgePower", "surge", FieldKind.optionalQuantity(Unit.WATT, Device.Draw.VALUE)),
            row("surgeCurrent", "surge", FieldKind.optionalQuantity(Unit.AMPERE, Device.Draw.VALUE)),
            row("surgeTime", "surgeS", FieldKind.optionalQuantity(Unit.SECOND, Device.Draw.SURGE_S)),
            row("dutyOn", "dutyOnS", FieldKind.optionalQuantity(Unit.SECOND, Device.Duty.SECONDS)),
            row("dutyOff", "dutyOffS", FieldKind.optionalQuantity(Unit.SECOND, Device.Duty.SECONDS)),
            row("holds", "setV", FieldKind.neededQuantity(Unit.VOLT, Device.Charger.SET_V)),
            row("drop", "dropPercent", FieldKind.optionalQuantity(Unit.PERCENT, Device.Consumer.ALLOWED_DROP_PERCENT)),
            row("family", "fuseFamily", FieldKind.choice(FuseFamily.class).starting(FuseFamily.SF51)),
            row("rating", "ratingA", FieldKind.optionalQuantity(Unit.AMPERE, Device.Fuse.RATING_A))
                    .but(EquipmentKind.FUSE, FieldKind.neededQuantity(Unit.AMPERE, Device.Fuse.RATING_A)),
            row("charge", "chargeV", FieldKind.optionalQuantity(Unit.VOLT, Device.BankBuild.VOLT)),
            row("cutOff", "cutOffV", FieldKind.optionalQuantity(Unit.VOLT, Device.BankBuild.VOLT)),
            row("highest", "highestV", FieldKind.optionalQuantity(Unit.VOLT, Device.Draw.LOWEST_V)),
            row("stringTap", "stringTap", FieldKind.optionalChoice(StringTap.class)),
            row("stringFuses", "stringFuses", FieldKind.optionalChoice(StringFuses.class)),
            row("panels", "inSeries", FieldKind.count(PanelString.PANELS).starting(1)),
            row("openVolt", "openV", FieldKind.neededQuantity(Unit.VOLT, PanelString.OPEN_V)),
            row("workVolt", "setV", FieldKind.neededQuantity(Unit.VOLT, PanelString.OPEN_V)),
            row("shortCurrent", "shortA", FieldKind.neededQuantity(Unit.AMPERE, PanelString.AMPERE)),
            row("workCurrent", "currentA", FieldKind.neededQuantity(Unit.AMPERE, PanelString.AMPERE)),
            row("panelFuse", "ratingA", FieldKind.optionalQuantity(Unit.AMPERE, PanelString.AMPERE)),
            row("coldest", "coldestC", FieldKind.optionalQuantity(Unit.CELSIUS, PanelString.COLDEST_C)),
            row("coefficient", "percentPerKelvin", FieldKind.optionalQuantity(Unit.PERCENT, COEFFICIENT_PERCENT)),
            row("shortLimit", "currentA", FieldKind.optionalQuantity(Unit.AMPERE, Device.Fuse.RATING_A)),
            row("on", "mountedOn", FieldKind.optionalText(EquipmentDetails.LONGEST_TERMINAL)),
            row("idle", "idleW", FieldKind.optionalQuantity(Unit.WATT, Device.Consumer.IDLE_W)));

    private static EquipmentField row(String key, String part, FieldKind usual) {
        return new EquipmentField(key, part, usual, Map.of());
    }

    private EquipmentField but(EquipmentKind kind, FieldKind other) {
        return new EquipmentField(key, part, usual, Map.of(kind, other));
    }

    /** The field {@code key}. */
    static EquipmentField of(String key) {
        return ALL.stream().filter(field -> field.key.equals(key)).findFirst().orElseThrow();
    }

    /** The fields of a kind, in its order. */
    static List<EquipmentField> of(EquipmentKind kind) {
        return kind.fields().stream().map(EquipmentField::of).toList();
    }

    /** How it is entered of a piece of {@code kind}. */
    FieldKind entered(EquipmentKind kind) {
        return elsewhere.getOrDefault(kind, usual);
    }

    /** As a form shows it of a piece of {@code kind}. */
    DeclaredField shown(EquipmentKind kind, Words words) {
        FieldKind how = entered(kind);
        String name = "equipment." + key;
        String hint = words.find(name + ".hint").orElse("");
        return new DeclaredField(key, how.form(), how.mayBeEmpty(), how.options(), words.of(name), hint);
    }

    /** What was typed of it, over what stands. */
    @Nullable
    Object read(Entries entries, EquipmentDetails standing) {
        return entered(standing.kind()).reading().of(entries, key, value(standing));
    }

    /** What is known of it. */
    @Nullable
    Object value(EquipmentDetails piece) {
        return Records.part(piece, part);
    }

    /** As text that can be read again. */
    String text(EquipmentDetails piece, Fmt fmt) {
        return entered(piece.kind()).telling().of(value(piece), fmt);
    }
}
