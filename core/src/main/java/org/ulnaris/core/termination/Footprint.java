package org.ulnaris.core.termination;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A lug seen from above, in mm: the stud at the origin, the cable leaving along y, then turned towards x by {@code leaveDeg}. The barrel
 * wears its sleeve of {@value #SLEEVE_MM} mm (ours, a usual wall of recovered adhesive sleeve).
 *
 * @param lug the lug
 * @param leaveDeg by how much it is turned, °
 */
public record Footprint(Lug lug, double leaveDeg) {
    static final double SLEEVE_MM = 1.2;

    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int QUARTER_SEGMENTS = 12;
    /** Farther than any landing reaches, mm. */
    private static final double FAR_MM = 2000;

    /** The pad with its slope. */
    public Geometry pad() {
        double half = lug.pad().widthMm() / 2;
        double barrel = lug.barrel().outerMm() / 2;
        double slopeFrom = lug.padEndMm();
        double slopeTo = lug.barrelStartMm();
        Geometry tip = SHAPES.createPoint(new Coordinate(0, -lug.pitchMm())).buffer(half, QUARTER_SEGMENTS);
        Geometry flat = polygon(-half, -lug.pitchMm(), half, -lug.pitchMm(), half, slopeFrom, -half, slopeFrom);
        Geometry slope = polygon(-half, slopeFrom, half, slopeFrom, barrel, slopeTo, -barrel, slopeTo);
        return turned(union(union(tip, flat), slope));
    }

    /** The barrel with its sleeve; of a bent lug as it stands. */
    public Geometry barrel() {
        double half = lug.barrel().outerMm() / 2 + SLEEVE_MM;
        double from = lug.barrelStartMm();
        double angle = Math.toRadians(lug.form().angleDeg());
        double to = from + lug.barrel().depthMm() * Math.cos(angle) + 2 * half * Math.sin(angle);
        return turned(polygon(-half, from, half, from, half, to, -half, to));
    }

    /** All of it. */
    public Geometry whole() {
        return union(pad(), barrel());
    }

    /** Width that it needs between walls that run {@code wallReachMm} along the cable, centred on the stud, mm. */
    public double widthMm(double wallReachMm) {
        Geometry between = SHAPES.toGeometry(new Envelope(-FAR_MM, FAR_MM, -FAR_MM, wallReachMm));
        Envelope met = OverlayNGRobust.overlay(whole(), between, OverlayNG.INTERSECTION)
                .getEnvelopeInternal();
        return 2 * Math.max(Math.abs(met.getMinX()), Math.abs(met.getMaxX()));
    }

    /** Gap to the same lug on a stud {@code neighbourMm} away across, lying the same way, mm; 0 when they touch. */
    public double gapMm(double neighbourMm) {
        return whole().distance(
                        AffineTransformation.translationInstance(neighbourMm, 0).transform(whole()));
    }

    private static Geometry union(Geometry one, Geometry other) {
        return OverlayNGRobust.overlay(one, other, OverlayNG.UNION);
    }

    private Geometry turned(Geometry shape) {
        return AffineTransformation.rotationInstance(-Math.toRadians(leaveDeg)).transform(shape);
    }

    private static Geometry polygon(double... xy) {
        Coordinate[] ring = new Coordinate[xy.length / 2 + 1];
        for (int i = 0; i < ring.length; i++) {
            int at = 2 * i % xy.length;
            ring[i] = new Coordinate(xy[at], xy[at + 1]);
        }
        return SHAPES.createPolygon(ring);
    }
}
