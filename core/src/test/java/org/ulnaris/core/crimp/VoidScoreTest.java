package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

class VoidScoreTest {
    private static final int SIZE = 600;

    /** A bright disc of {@code radius} with round holes of {@code hole} on a dark ground, with noise as a camera gives it. */
    private static int[] disc(double radius, double hole, int holes) {
        Random noise = new Random(7);
        int[] grey = new int[SIZE * SIZE];
        for (int at = 0; at < grey.length; at++) {
            double x = at % SIZE - SIZE / 2.0;
            double y = at / SIZE - SIZE / 2.0;
            boolean metal = Math.hypot(x, y) <= radius;
            for (int i = 0; i < holes; i++) {
                double angle = 2 * Math.PI * i / holes;
                metal &= Math.hypot(x - radius / 2 * Math.cos(angle), y - radius / 2 * Math.sin(angle)) > hole;
            }
            grey[at] = (metal ? 190 : 45) + noise.nextInt(40);
        }
        return grey;
    }

    /** Holes of r in a disc of R: n·r²/R². */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 3, 7})
    void holesInADisc(int holes) throws VoidScore.NoSectionException {
        double expected = 100.0 * holes * 20 * 20 / (250.0 * 250);
        assertThat(VoidScore.percent(disc(250, 20, holes), SIZE)).isCloseTo(expected, within(0.1));
    }

    /** The section that Ulnaris draws, photographed: the computed voids come back. */
    @ParameterizedTest
    @ValueSource(doubles = {13.0, 13.3, 13.7})
    void aDrawnSectionGivesItsVoidsBack(double flats) throws VoidScore.NoSectionException {
        Crimp crimp = new Crimp(
                50,
                new Barrel(LugMaterial.COPPER, 14.5, 10, 28),
                new Die("x", DieShape.HEX, flats, 5, LugMaterial.COPPER));
        CrimpSection section = CrimpSection.of(crimp);
        double scale = 0.9 * SIZE / 16;
        BufferedImage picture = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = picture.createGraphics();
        pen.translate(SIZE / 2.0, SIZE / 2.0);
        pen.scale(scale, scale);
        fill(pen, section.outline(), Color.LIGHT_GRAY);
        fill(pen, section.bore(), Color.BLACK);
        section.strands().forEach(strand -> fill(pen, strand, Color.LIGHT_GRAY));
        int[] grey = picture.getRaster().getPixels(0, 0, SIZE, SIZE, (int[]) null);
        double expected = 100 * section.voidMm2() / section.outline().areaMm2();
        assertThat(expected).isGreaterThan(3);
        assertThat(VoidScore.percent(grey, SIZE)).isCloseTo(expected, within(1.5));
    }

    private static void fill(Graphics2D pen, CrimpSection.Polygon polygon, Color colour) {
        List<Double> xy = polygon.xy();
        Path2D path = new Path2D.Double();
        path.moveTo(xy.get(0), xy.get(1));
        for (int i = 2; i < xy.size(); i += 2) {
            path.lineTo(xy.get(i), xy.get(i + 1));
        }
        path.closePath();
        pen.setColor(colour);
        pen.fill(path);
    }

    @Test
    void whatShowsNoSectionIsRefused() {
        assertThatThrownBy(() -> VoidScore.percent(new int[SIZE * SIZE], SIZE))
                .isInstanceOf(VoidScore.NoSectionException.class);
        int[] bright = new int[SIZE * SIZE];
        java.util.Arrays.fill(bright, 200);
        assertThatThrownBy(() -> VoidScore.percent(bright, SIZE)).isInstanceOf(VoidScore.NoSectionException.class);
        assertThatThrownBy(() -> VoidScore.percent(new int[7], 3)).isInstanceOf(IllegalArgumentException.class);
    }
}
