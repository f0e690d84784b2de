package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;

/** A lug entered from caliper readings. */
@Entity
class MeasuredLug implements Shapes, PartRow<Lug> {
    @Id
    @GeneratedValue(generator = "measured_lug_seq")
    @SequenceGenerator(name = "measured_lug_seq", sequenceName = "measured_lug_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private String code;

    @Enumerated(EnumType.STRING)
    private LugMaterial material;

    private double outerMm;
    private double boreMm;
    private double depthMm;
    private double padWidthMm;
    private double holeMm;
    private String stud;
    private int angleDeg;
    private @Nullable Double pitchMm;

    @Enumerated(EnumType.STRING)
    private LugMaterial padMetal;

    private boolean tinned;
    private boolean windowed;
    private boolean bellMouth;
    private int conductors;

    @SuppressWarnings("NullAway.Init")
    protected MeasuredLug() {}

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    MeasuredLug(Lug lug) {
        this.code = lug.code();
        this.material = lug.barrel().material();
        this.outerMm = lug.barrel().outerMm();
        this.boreMm = lug.barrel().boreMm();
        this.depthMm = lug.barrel().depthMm();
        this.padWidthMm = lug.pad().widthMm();
        this.holeMm = lug.pad().holeMm();
        this.stud = lug.pad().stud();
        LugForm form = lug.form();
        this.angleDeg = form.angleDeg();
        this.pitchMm =
                form.holes().pitchMm().isPresent() ? form.holes().pitchMm().getAsDouble() : null;
        this.padMetal = form.body().pad();
        this.tinned = form.body().tinned();
        this.windowed = form.body().window();
        this.bellMouth = form.body().bellMouth();
        this.conductors = form.conductors();
    }

    @Override
    public Lug part() {
        Barrel barrel = new Barrel(material, outerMm, boreMm, depthMm);
        LugForm form = new LugForm(
                angleDeg,
                new LugForm.Holes(pitchMm == null ? OptionalDouble.empty() : OptionalDouble.of(pitchMm)),
                new LugForm.Body(padMetal, tinned, windowed, bellMouth),
                conductors);
        return Lug.measured(code, barrel, new Lug.Pad(padWidthMm, 2 * barrel.wallMm(), holeMm, stud), form);
    }
}
