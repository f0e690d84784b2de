package org.ulnaris.app.loads;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;

/** Typed text of a piece of equipment to its details and back. */
public final class EquipmentReader {
    private static final Range EFFICIENCY_PERCENT = new Range(0, 100);
    private static final Range LINK_OHM = Device.Link.OHM;

    private EquipmentReader() {}

    /** Usual figures of a new piece of {@code kind} (common practice), to be edited. */
    public static EquipmentDetails fresh(EquipmentKind kind, JobDetails job) {
        double nominal = job.nominalVoltageV();
        Chemistry chemistry = Chemistry.LITHIUM_IRON;
        boolean bank = kind == EquipmentKind.BANK;
        boolean load = kind.fields().contains("drop");
        return new EquipmentDetails(
                "",
                "",
                kind,
                bank ? chemistry : null,
                bank ? Math.max(1, (int) Math.rint(nominal / chemistry.nominalV())) : null,
                bank ? 1 : null,
                bank ? 100.0 : null,
                switch (kind) {
                    case FUSE -> 0.0003;
                    case SWITCH -> 0.0002;
                    case SHUNT -> 0.0001;
                    default -> null;
                },
                null,
                null,
                kind == EquipmentKind.INVERTER ? 90.0 : null,
                load ? Math.rint(nominal * 9) / 10 : null,
                null,
                null,
                null,
                null,
                kind.fields().contains("holds") ? job.chargingVoltageV() : null,
                load ? 3.0 : null,
                kind == EquipmentKind.FUSE ? FuseFamily.SF51 : null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    /** Reads what was typed over {@code standing}; faults stay in {@code entries}. */
    public static EquipmentDetails read(Entries entries, EquipmentDetails standing) {
        EquipmentKind kind = standing.kind();
        Fields f = new Fields(entries, kind);
        String tag = entries.text("tag", EquipmentDetails.LONGEST_TAG, true, standing.tag());
        if (tag.indexOf('.') >= 0) {
            entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("pointless-tag"));
        }
        Chemistry chemistry = kind == EquipmentKind.BANK
                ? entries.choice(
                        "chemistry",
                        Chemistry.class,
                        Objects.requireNonNullElse(standing.chemistry(), Chemistry.LITHIUM_IRON))
                : null;
        Integer series = f.count("inSeries", standing.inSeries());
        if (chemistry != null && series != null && !Device.BankBuild.VOLT.contains(chemistry.chargeV() * series)) {
            int most = (int) (Device.BankBuild.VOLT.upTo() / chemistry.chargeV());
            entries.fault("inSeries", Fault.Code.OUT_OF_RANGE, "0", Integer.toString(most));
        }
        boolean bank = kind == EquipmentKind.BANK;
        Double chargeV =
                bank ? entries.optionalQuantity("charge", Unit.VOLT, Device.BankBuild.VOLT, standing.chargeV()) : null;
        Double cutOffV =
                bank ? entries.optionalQuantity("cutOff", Unit.VOLT, Device.BankBuild.VOLT, standing.cutOffV()) : null;
        if (chemistry != null && series != null && entries.clean()) {
            window(entries, chemistry, series, new Typed(chargeV, cutOffV));
        }
        FuseFamily family = kind == EquipmentKind.FUSE
                ? entries.choice(
                        "family", FuseFamily.class, Objects.requireNonNullElse(standing.fuseFamily(), FuseFamily.SF51))
                : null;
        Double ratingA = kind == EquipmentKind.FUSE
                ? f.needed("rating", Unit.AMPERE, Device.Fuse.RATING_A, standing.ratingA())
                : f.optional("rating", Unit.AMPERE, Device.Fuse.RATING_A, standing.ratingA());
        if (family != null && ratingA != null && !family.hasRating(ratingA)) {
            entries.fault(
                    "rating",
                    Fault.Code.CONTRADICTS,
                    Expected.of("rating-of-family", Figures.significant(family.nearestRatingA(ratingA), 4)));
        }
        boolean surges = kind.surges();
        boolean rests = kind.fields().contains("dutyOn");
        boolean motor = kind.fields().contains("surgeCurrent");
        return new EquipmentDetails(
                tag,
                entries.text("name", EquipmentDetails.LONGEST_NAME, false, standing.name()),
                kind,
                chemistry,
                series,
                f.count("inParallel", standing.inParallel()),
                f.needed("capacity", Unit.AMPERE_HOUR, Device.BankBuild.UNIT_AH, standing.capacityAh()),
                kind == EquipmentKind.BANK
                        ? entries.optionalQuantity("ohm", Unit.OHM, Device.BankBuild.UNIT_OHM, standing.ohm())
                        : f.needed("ohm", Unit.OHM, LINK_OHM, standing.ohm()),
                f.needed("power", Unit.WATT, Device.Draw.VALUE, standing.powerW()),
                f.needed("current", Unit.AMPERE, Device.Charger.MAX_A, standing.currentA()),
                f.needed("efficiency", Unit.PERCENT, EFFICIENCY_PERCENT, standing.efficiencyPercent()),
                f.needed("lowest", Unit.VOLT, Device.Draw.LOWEST_V, standing.lowestV()),
                surges
                        ? entries.optionalQuantity(
                                motor ? "surgeCurrent" : "surgePower",
                                motor ? Unit.AMPERE : Unit.WATT,
                                Device.Draw.VALUE,
                                standing.surge())
                        : null,
                surges
                        ? entries.optionalQuantity("surgeTime", Unit.SECOND, Device.Draw.SURGE_S, standing.surgeS())
                        : null,
                rests ? entries.optionalQuantity("dutyOn", Unit.SECOND, Device.Duty.SECONDS, standing.dutyOnS()) : null,
                rests
                        ? entries.optionalQuantity("dutyOff", Unit.SECOND, Device.Duty.SECONDS, standing.dutyOffS())
                        : null,
                f.needed("holds", Unit.VOLT, Device.Charger.SET_V, standing.setV()),
                f.needed("drop", Unit.PERCENT, Device.Consumer.ALLOWED_DROP_PERCENT, standing.dropPercent()),
                family,
                ratingA,
                chargeV,
                cutOffV,
                kind.idles()
                        ? entries.optionalQuantity("idle", Unit.WATT, Device.Consumer.IDLE_W, standing.idleW())
                        : null,
                f.optional("highest", Unit.VOLT, Device.Draw.LOWEST_V, standing.highestV()),
                bank ? entries.optionalChoice("stringTap", StringTap.class, standing.stringTap()) : null,
                bank ? entries.optionalChoice("stringFuses", StringFuses.class, standing.stringFuses()) : null,
                TerminalReader.read(entries, standing.terminal()));
    }

    /** Voltages of a bank as they were typed. */
    private record Typed(@Nullable Double chargeV, @Nullable Double cutOffV) {}

    /** The cut-off must lie below the charging voltage, whichever of both was typed. */
    private static void window(Entries entries, Chemistry chemistry, int series, Typed typed) {
        double charge = Objects.requireNonNullElse(typed.chargeV(), chemistry.chargeV() * series);
        double cutOff = Objects.requireNonNullElse(typed.cutOffV(), chemistry.lowestV() * series);
        if (cutOff >= charge) {
            entries.fault(
                    typed.cutOffV() == null ? "charge" : "cutOff",
                    Fault.Code.CONTRADICTS,
                    typed.cutOffV() == null
                            ? Expected.of("above-cut-off", Figures.significant(cutOff, 4))
                            : Expected.of("below-charging", Figures.significant(charge, 4)));
        }
    }

    /** Fields that the kind has; the others are null. */
    private record Fields(Entries entries, EquipmentKind kind) {
        @Nullable
        Double needed(String name, Unit unit, Range range, @Nullable Double standing) {
            if (!kind.fields().contains(name)) {
                return null;
            }
            Double value = entries.optionalQuantity(name, unit, range, standing);
            if (value == null) {
                entries.fault(name, Fault.Code.EMPTY, unit.dimension().example());
            }
            return value;
        }

        @Nullable
        Double optional(String name, Unit unit, Range range, @Nullable Double standing) {
            return kind.fields().contains(name) ? entries.optionalQuantity(name, unit, range, standing) : null;
        }

        @Nullable
        Integer count(String name, @Nullable Integer standing) {
            return kind.fields().contains(name)
                    ? Integer.valueOf(entries.count(name, Device.BankBuild.COUNT, standing == null ? 1 : standing))
                    : null;
        }
    }

    /** The text of each field of the kind, as a form shows it. */
    public static Map<String, String> texts(EquipmentDetails details, Fmt fmt) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("tag", details.tag());
        all.put("name", details.name());
        all.put(
                "chemistry",
                details.chemistry() == null ? "" : details.chemistry().name());
        all.put("inSeries", details.inSeries() == null ? "" : details.inSeries().toString());
        all.put(
                "inParallel",
                details.inParallel() == null ? "" : details.inParallel().toString());
        all.put("capacity", fmt.entry(details.capacityAh(), Unit.AMPERE_HOUR));
        all.put("ohm", fmt.entry(details.ohm(), Unit.OHM));
        all.put("power", fmt.entry(details.powerW(), Unit.WATT));
        all.put("current", fmt.entry(details.currentA(), Unit.AMPERE));
        all.put("efficiency", fmt.entry(details.efficiencyPercent(), Unit.PERCENT));
        all.put("lowest", fmt.entry(details.lowestV(), Unit.VOLT));
        all.put("surgePower", fmt.entry(details.surge(), Unit.WATT));
        all.put("surgeCurrent", fmt.entry(details.surge(), Unit.AMPERE));
        all.put("surgeTime", fmt.entry(details.surgeS(), Unit.SECOND));
        all.put("dutyOn", fmt.entry(details.dutyOnS(), Unit.SECOND));
        all.put("dutyOff", fmt.entry(details.dutyOffS(), Unit.SECOND));
        all.put("holds", fmt.entry(details.setV(), Unit.VOLT));
        all.put("drop", fmt.entry(details.dropPercent(), Unit.PERCENT));
        all.put(
                "family",
                details.fuseFamily() == null ? "" : details.fuseFamily().name());
        all.put("rating", fmt.entry(details.ratingA(), Unit.AMPERE));
        all.put("charge", fmt.entry(details.chargeV(), Unit.VOLT));
        all.put("cutOff", fmt.entry(details.cutOffV(), Unit.VOLT));
        all.put("highest", fmt.entry(details.highestV(), Unit.VOLT));
        all.put(
                "stringTap",
                details.stringTap() == null ? "" : details.stringTap().name());
        all.put(
                "stringFuses",
                details.stringFuses() == null ? "" : details.stringFuses().name());
        all.put("idle", fmt.entry(details.idleW(), Unit.WATT));
        Map<String, String> texts = new LinkedHashMap<>();
        all.forEach((field, text) -> {
            boolean common = field.equals("tag") || field.equals("name");
            if (common || details.kind().fields().contains(field)) {
                texts.put(field, text);
            }
        });
        texts.putAll(TerminalReader.texts(details.terminal(), fmt));
        return texts;
    }
}
