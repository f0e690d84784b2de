package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Objects;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;

/**
 * A tube lug.
 *
 * @param code its name in the catalogue
 * @param forSize designation of the conductor that it is made for; empty when not known
 * @param barrel the tube
 * @param pad the flat with the hole
 * @param overallMm tip of the pad to mouth of the barrel, mm
 * @param form what it is beyond tube and pad
 * @param source standard, catalogue or caliper
 */
public record Lug(String code, String forSize, Barrel barrel, Pad pad, double overallMm, LugForm form, Source source) {
    public static final Range OVERALL_MM = new Range(0, 400);

    private static final double SLOPE_SHARE = 0.35;

    public Lug {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(form, "form");
        Objects.requireNonNull(source, "source");
        OVERALL_MM.check("overallMm", overallMm);
        if (!(overallMm
                > barrel.depthMm() + pad.widthMm() / 2 + form.holes().pitchMm().orElse(0))) {
            throw new IllegalArgumentException(
                    "lug must be longer than its barrel, its holes and half its pad; have " + overallMm);
        }
    }

    /** A plain lug. */
    public Lug(String code, String forSize, Barrel barrel, Pad pad, double overallMm, Source source) {
        this(code, forSize, barrel, pad, overallMm, LugForm.plain(barrel.material()), source);
    }

    /**
     * The flat with the hole.
     *
     * @param widthMm width, mm
     * @param thicknessMm thickness, mm
     * @param holeMm diameter of the hole, mm
     * @param stud name of the stud that the hole is made for
     */
    public record Pad(double widthMm, double thicknessMm, double holeMm, String stud) {
        public static final Range WIDTH_MM = new Range(0, 150);
        public static final Range HOLE_MM = new Range(0, 60);

        public Pad {
            WIDTH_MM.check("widthMm", widthMm);
            HOLE_MM.check("holeMm", holeMm);
            WIDTH_MM.check("thicknessMm", thicknessMm);
            if (!(holeMm < widthMm)) {
                throw new IllegalArgumentException("hole must be smaller than the pad; have " + holeMm);
            }
        }

        /** A pad pressed flat from the tube, widened where the hole asks for it (ours). */
        public static Pad flattened(Barrel barrel, double holeMm, String stud) {
            double flat = Math.PI / 4 * (barrel.outerMm() + barrel.boreMm()) + barrel.wallMm();
            double width = Math.max(flat, 1.55 * holeMm);
            return new Pad(width, 2 * barrel.wallMm() * flat / width, holeMm, stud);
        }
    }

    /** A lug measured with calipers: the length follows from pad, slope and barrel. */
    public static Lug measured(String code, Barrel barrel, Pad pad) {
        return measured(code, barrel, pad, LugForm.plain(barrel.material()));
    }

    /** A lug measured with calipers, of any form. */
    public static Lug measured(String code, Barrel barrel, Pad pad, LugForm form) {
        double overall = barrel.depthMm()
                + SLOPE_SHARE * barrel.outerMm()
                + pad.widthMm()
                + form.holes().pitchMm().orElse(0);
        return new Lug(code, "", barrel, pad, overall, form, Source.given(note("Lug.caliper-readings")));
    }

    /** From its first hole to its second, mm; 0 with one hole. */
    public double pitchMm() {
        return form.holes().pitchMm().orElse(0);
    }

    /** Centre of the hole nearest the cable to mouth of the barrel, along the lug, mm: the outer hole sits half a pad from the tip. */
    public double holeToMouthMm() {
        return overallMm - pad.widthMm() / 2 - pitchMm();
    }

    /** Centre of that hole to where the barrel begins, mm. */
    public double barrelStartMm() {
        return holeToMouthMm() - barrel.depthMm();
    }

    /** Centre of that hole to where the pad begins to slope, mm. */
    public double padEndMm() {
        double slope = Math.max(pad.holeMm() / 2 + 1, barrelStartMm() - 0.4 * barrel.outerMm());
        return Math.min(slope, barrelStartMm() - 0.5);
    }

    /** How high it stands on its surface, mm. */
    public double heightMm() {
        double angle = Math.toRadians(form.angleDeg());
        return Math.max(barrel.outerMm(), pad.thicknessMm() + barrel.depthMm() * Math.sin(angle));
    }

    /** Whether its pad is narrower than its barrel. */
    public boolean narrowTongue() {
        return pad.widthMm() < barrel.outerMm();
    }

    /** Whether its pad is of another metal than its barrel. */
    public boolean bimetal() {
        return form.body().pad() != barrel.material();
    }
}
