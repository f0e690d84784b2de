package org.ulnaris.app.loads;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.protection.FuseFamily;

/** Typed text of a piece of equipment to its details and back. */
public final class EquipmentReader {
    private EquipmentReader() {}

    /** Usual figures of a new piece of {@code kind} (common practice), to be edited. */
    public static EquipmentDetails fresh(EquipmentKind kind, JobDetails job) {
        double nominal = job.nominalVoltageV();
        Map<String, Object> usual = new HashMap<>(Map.of("tag", "", "name", "", "kind", kind));
        if (kind.fields().contains("lowest")) {
            usual.put("lowestV", Math.rint(nominal * 9) / 10);
        }
        if (kind.fields().contains("holds")) {
            usual.put("setV", job.chargingVoltageV());
        }
        switch (kind) {
            case BANK -> {
                Chemistry chemistry = Chemistry.LITHIUM_IRON;
                usual.put("chemistry", chemistry);
                double units = Math.rint(job.chargingVoltageV() / chemistry.chargeV());
                usual.put("inSeries", (int) Math.min(Device.BankBuild.COUNT.upTo(), Math.max(1, units)));
                usual.put("inParallel", 1);
                usual.put("capacityAh", 100.0);
            }
            case INVERTER -> usual.put("efficiencyPercent", 90.0);
            case FUSE -> {
                usual.put("fuseFamily", FuseFamily.SF51);
                usual.put("ohm", 0.0003);
            }
            case SWITCH -> usual.put("ohm", 0.0002);
            case SHUNT -> usual.put("ohm", 0.0001);
            case PLUG -> usual.put("ohm", 0.0003);
            case PANELS -> usual.put("inSeries", 1);
            default -> {}
        }
        return Records.of(EquipmentDetails.class, usual);
    }

    /** Reads what was typed over {@code standing}; faults stay in {@code entries}. */
    public static EquipmentDetails read(Entries entries, EquipmentDetails standing) {
        EquipmentKind kind = standing.kind();
        Map<String, @Nullable Object> parts = new HashMap<>();
        String tag = entries.text("tag", EquipmentDetails.LONGEST_TAG, true, standing.tag());
        if (tag.indexOf('.') >= 0) {
            entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("pointless-tag"));
        }
        parts.put("kind", kind);
        parts.put("tag", tag);
        parts.put("name", entries.text("name", EquipmentDetails.LONGEST_NAME, false, standing.name()));
        for (EquipmentField field : EquipmentField.of(kind)) {
            parts.put(field.part(), field.read(entries, standing));
        }
        parts.put("terminal", TerminalReader.read(entries, standing.terminal()));
        EquipmentDetails read = Records.of(EquipmentDetails.class, parts);
        series(entries, read);
        window(entries, read);
        rating(entries, read);
        panels(entries, read);
        both(entries, new Half("dutyOn", read.dutyOnS(), "2 min"), new Half("dutyOff", read.dutyOffS(), "8 min"));
        String surge = kind.fields().contains("surgePower") ? "surgePower" : "surgeCurrent";
        String example = kind.fields().contains("surgePower") ? "4000 W" : "300 A";
        both(entries, new Half(surge, read.surge(), example), new Half("surgeTime", read.surgeS(), "1 s"));
        return read;
    }

    /** One of two figures that say something only together. */
    private record Half(String field, @Nullable Double value, String example) {}

    private static void both(Entries entries, Half one, Half other) {
        if (entries.clean() && (one.value() == null) != (other.value() == null)) {
            Half missing = one.value() == null ? one : other;
            entries.fault(missing.field(), Fault.Code.EMPTY, missing.example());
        }
    }

    /** Units in series come to a voltage that a bank may have. */
    private static void series(Entries entries, EquipmentDetails read) {
        Chemistry chemistry = read.chemistry();
        Integer series = read.inSeries();
        if (chemistry != null && series != null && !Device.BankBuild.VOLT.contains(chemistry.chargeV() * series)) {
            int most = (int) (Device.BankBuild.VOLT.upTo() / chemistry.chargeV());
            entries.fault("inSeries", Fault.Code.OUT_OF_RANGE, "0", Integer.toString(most));
        }
    }

    /** The cut-off must lie below the charging voltage, whichever of both was typed. */
    private static void window(Entries entries, EquipmentDetails read) {
        Chemistry chemistry = read.chemistry();
        Integer series = read.inSeries();
        if (chemistry == null || series == null || !entries.clean()) {
            return;
        }
        Double chargeV = read.chargeV();
        Double cutOffV = read.cutOffV();
        double charge = Objects.requireNonNullElse(chargeV, chemistry.chargeV() * series);
        double cutOff = Objects.requireNonNullElse(cutOffV, chemistry.lowestV() * series);
        if (cutOff >= charge) {
            entries.fault(
                    cutOffV == null ? "charge" : "cutOff",
                    Fault.Code.CONTRADICTS,
                    cutOffV == null
                            ? Expected.of("above-cut-off", Figures.significant(cutOff, 4))
                            : Expected.of("below-charging", Figures.significant(charge, 4)));
        }
    }

    /** A panel gives more without a load than at work, and more current shorted than at work. */
    private static void panels(Entries entries, EquipmentDetails read) {
        Double openV = read.openV();
        Double workV = read.setV();
        if (openV != null && workV != null && workV > openV) {
            entries.fault("workVolt", Fault.Code.CONTRADICTS, Expected.of("below-open", Figures.significant(openV, 4)));
        }
        Double shortA = read.shortA();
        Double workA = read.currentA();
        if (shortA != null && workA != null && workA > shortA) {
            entries.fault(
                    "workCurrent", Fault.Code.CONTRADICTS, Expected.of("below-short", Figures.significant(shortA, 4)));
        }
    }

    /** A fuse has a rating that its family is made in. */
    private static void rating(Entries entries, EquipmentDetails read) {
        FuseFamily family = read.fuseFamily();
        Double ratingA = read.ratingA();
        if (family != null && ratingA != null && !family.hasRating(ratingA)) {
            entries.fault(
                    "rating",
                    Fault.Code.CONTRADICTS,
                    Expected.of("rating-of-family", Figures.significant(family.nearestRatingA(ratingA), 4)));
        }
    }

    /** The text of each field of the kind, as a form shows it. */
    public static Map<String, String> texts(EquipmentDetails details, Fmt fmt) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("tag", details.tag());
        texts.put("name", details.name());
        EquipmentField.of(details.kind()).forEach(field -> texts.put(field.key(), field.text(details, fmt)));
        texts.putAll(TerminalReader.texts(details.terminal(), fmt));
        return texts;
    }
}
