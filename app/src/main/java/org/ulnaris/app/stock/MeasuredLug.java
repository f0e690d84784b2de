package org.ulnaris.app.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugMaterial;

/** A lug entered from caliper readings. */
@Entity
class MeasuredLug {
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

    @SuppressWarnings("NullAway.Init")
    protected MeasuredLug() {}

    MeasuredLug(Lug lug) {
        this.code = lug.code();
        this.material = lug.barrel().material();
        this.outerMm = lug.barrel().outerMm();
        this.boreMm = lug.barrel().boreMm();
        this.depthMm = lug.barrel().depthMm();
        this.padWidthMm = lug.pad().widthMm();
        this.holeMm = lug.pad().holeMm();
        this.stud = lug.pad().stud();
    }

    Lug lug() {
        Barrel barrel = new Barrel(material, outerMm, boreMm, depthMm);
        return Lug.measured(code, barrel, new Lug.Pad(padWidthMm, 2 * barrel.wallMm(), holeMm, stud));
    }
}
