package org.ulnaris.app.drawing;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.ulnaris.core.termination.Footprint;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;

/** Draws a lug on its stud from above, with walls and neighbour, the cable leaving down the page. */
public final class FootprintDrawer {
    private static final double MARGIN_MM = 4;
    private static final double WALL_MM = 3;
    private static final double CABLE_MM = 12;

    private final Lug lug;
    private final Landing landing;
    private final Footprint footprint;
    private final Envelope sheet;
    private final Pen pen;

    private FootprintDrawer(Lug lug, Landing landing) {
        this.lug = lug;
        this.landing = landing;
        this.footprint = new Footprint(lug, landing.around().leaveDeg());
        this.sheet = sheet();
        this.pen = new Pen(sheet.getWidth(), false);
    }

    /** The drawing; {@code cableMm} is the cable's outside diameter. */
    public static Drawing of(Lug lug, Landing landing, double cableMm, String label) {
        FootprintDrawer drawer = new FootprintDrawer(lug, landing);
        drawer.walls();
        drawer.cable(cableMm);
        landing.around().neighbourMm().ifPresent(drawer::neighbour);
        drawer.lug();
        return new Drawing(drawer.sheet.getWidth(), drawer.sheet.getHeight(), label, "footprint", drawer.pen.marks());
    }

    private Envelope sheet() {
        Envelope all = new Envelope(footprint.whole().getEnvelopeInternal());
        all.expandToInclude(turned(0, lug.holeToMouthMm() + (lug.form().angleDeg() == 0 ? CABLE_MM : 0)));
        landing.around().neighbourMm().ifPresent(far -> {
            Envelope next = footprint.whole().getEnvelopeInternal();
            all.expandToInclude(next.getMaxX() + far, next.getMaxY());
            all.expandToInclude(next.getMinX() + far, next.getMinY());
        });
        landing.clearWidthMm().ifPresent(clear -> {
            all.expandToInclude(-clear / 2 - WALL_MM, 0);
            all.expandToInclude(clear / 2 + WALL_MM, 0);
        });
        landing.around().wallReachMm().ifPresent(reach -> all.expandToInclude(0, reach));
        all.expandBy(MARGIN_MM);
        return all;
    }

    private Coordinate turned(double x, double y) {
        return AffineTransformation.rotationInstance(
                        -Math.toRadians(landing.around().leaveDeg()))
                .transform(new Coordinate(x, y), new Coordinate());
    }

    private double x(double x) {
        return x - sheet.getMinX();
    }

    private double y(double y) {
        return y - sheet.getMinY();
    }

    private void walls() {
        landing.clearWidthMm().ifPresent(clear -> {
            double top = footprint.whole().getEnvelopeInternal().getMinY() - 1;
            double bottom = landing.around().wallReachMm().orElse(lug.pad().widthMm() / 2);
            pen.rect("wall", x(-clear / 2 - WALL_MM), y(top), WALL_MM, bottom - top);
            pen.rect("wall", x(clear / 2), y(top), WALL_MM, bottom - top);
        });
    }

    private void cable(double cableMm) {
        if (lug.form().angleDeg() != 0) {
            return;
        }
        double half = cableMm / 2;
        double mouth = lug.holeToMouthMm();
        outline("sheath", half, mouth, mouth + CABLE_MM);
    }

    private void outline(String css, double half, double from, double to) {
        Coordinate[] corners = {turned(-half, from), turned(half, from), turned(half, to), turned(-half, to)};
        double[] xy = new double[2 * corners.length];
        for (int i = 0; i < corners.length; i++) {
            xy[2 * i] = x(corners[i].x);
            xy[2 * i + 1] = y(corners[i].y);
        }
        pen.polygon(css, xy);
    }

    private void neighbour(double farMm) {
        shape("next", AffineTransformation.translationInstance(farMm, 0).transform(footprint.whole()));
        pen.circle("next", x(farMm), y(0), lug.pad().holeMm() / 2);
    }

    private void lug() {
        shape("lug part-pad", footprint.pad());
        shape("shrink", footprint.barrel());
        if (lug.form().angleDeg() == 90) {
            Coordinate middle = turned(0, lug.barrelStartMm() + lug.barrel().outerMm() / 2);
            pen.circle("lug", x(middle.x), y(middle.y), lug.barrel().outerMm() / 2);
            pen.circle("hole", x(middle.x), y(middle.y), lug.barrel().boreMm() / 2);
        }
        double hole = lug.pad().holeMm() / 2;
        pen.circle("hole", x(0), y(0), hole);
        pen.circle("stud", x(0), y(0), landing.stud().thread().diameterMm() / 2);
        if (lug.pitchMm() > 0) {
            Coordinate second = turned(0, -lug.pitchMm());
            pen.circle("hole", x(second.x), y(second.y), hole);
        }
    }

    private void shape(String css, Geometry geometry) {
        Coordinate[] ring = geometry.getCoordinates();
        double[] xy = new double[2 * ring.length];
        for (int i = 0; i < ring.length; i++) {
            xy[2 * i] = x(ring[i].x);
            xy[2 * i + 1] = y(ring[i].y);
        }
        pen.polygon(css, xy);
    }
}
