package org.ulnaris.core.crimp;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * The cross-section that a spike leaves, computed (ours): the tube's circle with the spike's notch in it; the wall keeps its metal and lies
 * equally thick along circle and notch; strands are cells of a lattice cut by what is left inside, drawn as small as their metal.
 */
final class SpikeSection {
    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int QUARTER_SEGMENTS = 24;
    private static final int CELLS_ACROSS = 9;
    private static final int HALVINGS = 50;
    private static final double WEDGE_HALF_WIDTH = Math.tan(Math.toRadians(30));

    private SpikeSection() {}

    /** Section of {@code crimp} with its spike {@code depthMm} deep. */
    static CrimpSection of(SpikeCrimp crimp, double depthMm) {
        double radius = crimp.barrel().outerMm() / 2;
        Geometry circle = scaledToCircle(radius);
        Geometry outline = cut(circle, spike(crimp, radius - depthMm, 2 * radius));
        double metal = Math.min(crimp.metalMm2(), outline.getArea());
        double conductor = metal * crimp.conductorAreaMm2() / crimp.metalMm2();
        Geometry inside = within(outline, outline.getArea() - (metal - conductor));
        return new CrimpSection(polygon(outline), polygon(inside), strands(inside, conductor), List.of());
    }

    /** A many-cornered circle of exactly the circle's area. */
    private static Geometry scaledToCircle(double radius) {
        Geometry drawn = SHAPES.createPoint(new Coordinate(0, 0)).buffer(radius, QUARTER_SEGMENTS);
        double factor = Math.sqrt(Math.PI * radius * radius / drawn.getArea());
        return AffineTransformation.scaleInstance(factor, factor).transform(drawn);
    }

    /** The spike with its tip at the height {@code tip}. */
    private static Geometry spike(SpikeCrimp crimp, double tip, double above) {
        if (crimp.spike().form() == SpikeCrimp.Form.BAR) {
            double half = crimp.spike().widthMm() / 2;
            return SHAPES.toGeometry(new Envelope(-half, half, tip, Math.max(above, tip)));
        }
        double height = 2 * above;
        double half = height * WEDGE_HALF_WIDTH;
        return SHAPES.createPolygon(new Coordinate[] {
            new Coordinate(0, tip),
            new Coordinate(half, tip + height),
            new Coordinate(-half, tip + height),
            new Coordinate(0, tip)
        });
    }

    private static Geometry cut(Geometry from, Geometry away) {
        return OverlayNGRobust.overlay(from, away, OverlayNG.DIFFERENCE);
    }

    /** The outline drawn in until it holds {@code areaMm2}. */
    private static Geometry within(Geometry outline, double areaMm2) {
        double low = 0;
        double high = Math.sqrt(outline.getArea());
        for (int i = 0; i < HALVINGS; i++) {
            double inwards = (low + high) / 2;
            if (outline.buffer(-inwards, QUARTER_SEGMENTS).getArea() > areaMm2) {
                low = inwards;
            } else {
                high = inwards;
            }
        }
        return outline.buffer(-low, QUARTER_SEGMENTS);
    }

    private static List<CrimpSection.Polygon> strands(Geometry inside, double conductorMm2) {
        Envelope box = inside.getEnvelopeInternal();
        double pitch = Math.max(box.getWidth(), box.getHeight()) / CELLS_ACROSS;
        double shrink = Math.sqrt(conductorMm2 / inside.getArea());
        List<CrimpSection.Polygon> strands = new ArrayList<>();
        for (double y = box.getMinY(); y < box.getMaxY(); y += pitch) {
            for (double x = box.getMinX(); x < box.getMaxX(); x += pitch) {
                Geometry cell = SHAPES.toGeometry(new Envelope(x, x + pitch, y, y + pitch));
                Geometry held = OverlayNGRobust.overlay(inside, cell, OverlayNG.INTERSECTION);
                for (int i = 0; i < held.getNumGeometries(); i++) {
                    Geometry part = held.getGeometryN(i);
                    if (part.getArea() > 0) {
                        Coordinate middle = part.getCentroid().getCoordinate();
                        strands.add(polygon(AffineTransformation.scaleInstance(shrink, shrink, middle.x, middle.y)
                                .transform(part)));
                    }
                }
            }
        }
        return strands;
    }

    /** Outer ring of the largest part, y downwards as it is drawn. */
    private static CrimpSection.Polygon polygon(Geometry geometry) {
        Geometry largest = geometry.getGeometryN(0);
        for (int i = 1; i < geometry.getNumGeometries(); i++) {
            if (geometry.getGeometryN(i).getArea() > largest.getArea()) {
                largest = geometry.getGeometryN(i);
            }
        }
        Coordinate[] ring = largest.getCoordinates();
        List<Double> xy = new ArrayList<>();
        for (int i = 0; i < ring.length - 1; i++) {
            xy.add(ring[i].x);
            xy.add(-ring[i].y);
        }
        return new CrimpSection.Polygon(xy);
    }
}
