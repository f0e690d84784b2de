package org.ulnaris.app.stock;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A lug as calipers read it, in form, table and JSON alike; null is what is not said yet, lengths in mm.
 *
 * @param code its name
 * @param material of its barrel
 * @param barrelOdMm outside of the barrel
 * @param boreIdMm inside of the barrel
 * @param barrelDepthMm how deep a conductor goes in
 * @param padWidthMm width of the pad
 * @param holeMm its hole
 * @param angleDeg between barrel and pad, °
 * @param holePitchMm between two holes; null for one
 * @param padMaterial of the pad; null for the barrel's
 * @param finish "tinned" or "bare"; empty for tinned copper and bare aluminium
 * @param window whether the barrel has an inspection hole
 * @param bellMouth whether its mouth is flared
 * @param conductors how many it takes
 */
public record EnteredLug(
        String code,
        LugMaterial material,
        @Nullable Double barrelOdMm,
        @Nullable Double boreIdMm,
        @Nullable Double barrelDepthMm,
        @Nullable Double padWidthMm,
        @Nullable Double holeMm,
        Double angleDeg,
        @Nullable Double holePitchMm,
        @Nullable LugMaterial padMaterial,
        String finish,
        boolean window,
        boolean bellMouth,
        int conductors)
        implements EnteredPart<Lug> {
    private static final int LONGEST_CODE = 60;
    private static final int LONGEST_FINISH = 12;
    private static final String TINNED = "tinned";
    private static final String BARE = "bare";
    private static final List<String> FINISHES = List.of(TINNED, BARE);
    private static final Range ANGLE_DEG = Range.from(0, 90);

    /** Its fields, over a lug of which nothing is known. */
    public static final FormFields<EnteredLug> FIELDS = new FormFields<>(
            new EnteredLug("", LugMaterial.COPPER, null, null, null, null, null, 0.0, null, null, "", false, false, 1),
            List.of(
                    Field.of("code", FieldKind.text(LONGEST_CODE, true)),
                    Field.of("material", FieldKind.choice(LugMaterial.class)),
                    Field.of("outer", "barrelOdMm", FieldKind.neededQuantity(Unit.MM, Barrel.OUTER_MM))
                            .inColumn("outside"),
                    Field.of("bore", "boreIdMm", FieldKind.neededQuantity(Unit.MM, Barrel.BORE_MM))
                            .inColumn("inside"),
                    Field.of("depth", "barrelDepthMm", FieldKind.neededQuantity(Unit.MM, Barrel.DEPTH_MM)),
                    Field.of("padWidth", "padWidthMm", FieldKind.neededQuantity(Unit.MM, Lug.Pad.WIDTH_MM))
                            .inColumn("pad_width"),
                    Field.of("hole", "holeMm", FieldKind.neededQuantity(Unit.MM, Lug.Pad.HOLE_MM)),
                    Field.of(
                            "angle",
                            "angleDeg",
                            FieldKind.quantity(Unit.DEGREE, ANGLE_DEG).told(EnteredLug::angle)),
                    Field.of("pitch", "holePitchMm", FieldKind.optionalQuantity(Unit.MM, LugForm.Holes.PITCH_MM))
                            .inColumn("hole_pitch"),
                    Field.of("padMetal", "padMaterial", FieldKind.optionalChoice(LugMaterial.class))
                            .inColumn("pad_material"),
                    Field.of("finish", FieldKind.listed(LONGEST_FINISH, false, EnteredLug::finish, () -> FINISHES)),
                    Field.of("window", FieldKind.flag()),
                    Field.of("bellMouth", FieldKind.flag()).inColumn("bell_mouth"),
                    Field.of("conductors", FieldKind.count(new Range(0, LugForm.MOST_CONDUCTORS)))));

    private static Optional<String> finish(String typed) {
        return FINISHES.stream().filter(typed::equalsIgnoreCase).findFirst();
    }

    private static String angle(@Nullable Object deg, Fmt fmt) {
        return Figures.significant((Double) requireNonNull(deg), 4) + "°";
    }

    /** As it is entered. */
    static EnteredLug of(Lug lug) {
        LugForm form = lug.form();
        return new EnteredLug(
                lug.code(),
                lug.barrel().material(),
                lug.barrel().outerMm(),
                lug.barrel().boreMm(),
                lug.barrel().depthMm(),
                lug.pad().widthMm(),
                lug.pad().holeMm(),
                (double) form.angleDeg(),
                lug.pitchMm() > 0 ? lug.pitchMm() : null,
                form.body().pad(),
                form.body().tinned() ? TINNED : BARE,
                form.body().window(),
                form.body().bellMouth(),
                form.conductors());
    }

    @Override
    public void check(Entries entries, Set<String> taken) {
        if (!LugForm.ANGLES_DEG.contains(angleDeg.intValue()) || angleDeg != angleDeg.intValue()) {
            entries.fault("angle", Fault.Code.UNKNOWN_CHOICE, "0°, 45°, 90°");
        }
        if (entries.clean() && requireNonNull(boreIdMm) >= requireNonNull(barrelOdMm)) {
            entries.fault("bore", Fault.Code.CONTRADICTS, Expected.of("below-barrel"));
        }
        if (entries.clean() && requireNonNull(holeMm) >= requireNonNull(padWidthMm)) {
            entries.fault("hole", Fault.Code.CONTRADICTS, Expected.of("below-pad"));
        }
        if (entries.clean() && taken.contains(CsvTable.fold(code))) {
            entries.fault("code", Fault.Code.TAKEN);
        }
    }

    @Override
    public Lug part() {
        double hole = requireNonNull(holeMm);
        Barrel barrel = new Barrel(
                material, requireNonNull(barrelOdMm), requireNonNull(boreIdMm), requireNonNull(barrelDepthMm));
        String stud = Studs.thickestThrough(hole).map(Stud::name).orElse("");
        Lug.Pad pad = new Lug.Pad(requireNonNull(padWidthMm), 2 * barrel.wallMm(), hole, stud);
        return Lug.measured(code, barrel, pad, form());
    }

    private LugForm form() {
        LugMaterial pad = padMaterial == null ? material : padMaterial;
        boolean tinned = finish.isEmpty() ? pad == LugMaterial.COPPER : finish.equals(TINNED);
        return new LugForm(
                angleDeg.intValue(),
                new LugForm.Holes(holePitchMm == null ? OptionalDouble.empty() : OptionalDouble.of(holePitchMm)),
                new LugForm.Body(pad, tinned, window, bellMouth),
                conductors);
    }
}
