package org.ulnaris.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NetworkLayoutTest {
    /** A bank, bars, and fuses with their loads between two bars, as large jobs are. */
    private static NetworkLayout.Result job(int pieces, long seed) {
        Random random = new Random(seed);
        List<NetworkLayout.Box> boxes = new ArrayList<>();
        List<NetworkLayout.Line> lines = new ArrayList<>();
        for (int i = 0; i < pieces; i++) {
            boxes.add(box("P" + i, 60 + random.nextInt(100)));
            if (i > 0) {
                int near = i < 3 ? 0 : 1 + random.nextInt(Math.min(i - 1, 6));
                lines.add(line("P" + near, "P" + i, lines.size()));
                if (i > 4) {
                    lines.add(line("P2", "P" + i, lines.size()));
                }
            }
        }
        return NetworkLayout.of(boxes, lines);
    }

    private static NetworkLayout.Line line(String from, String to, int n) {
        return new NetworkLayout.Line(
                "L" + n,
                new NetworkLayout.End(from, "right"),
                new NetworkLayout.End(to, "left"),
                new NetworkLayout.Size(90, 36));
    }

    private static NetworkLayout.Box box(String id, double width) {
        return new NetworkLayout.Box(
                id,
                new NetworkLayout.Size(width, 40),
                List.of(new NetworkLayout.Port("left", false), new NetworkLayout.Port("right", true)),
                new NetworkLayout.Size(0, 0));
    }

    private static NetworkLayout.Box bar(String id) {
        return new NetworkLayout.Box(id, new NetworkLayout.Size(18, 40), List.of(), new NetworkLayout.Size(60, 16));
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 5, 20, 80})
    void nothingLiesOverAnythingElse(int pieces) {
        NetworkLayout.Result sheet = job(pieces, 7);
        List<NetworkLayout.Place> all = new ArrayList<>(sheet.boxes().values());
        all.addAll(sheet.labels().values());
        for (int i = 0; i < all.size(); i++) {
            NetworkLayout.Place place = all.get(i);
            assertThat(place.x()).isNotNegative();
            assertThat(place.x() + place.width()).isLessThanOrEqualTo(sheet.width());
            assertThat(place.y() + place.height()).isLessThanOrEqualTo(sheet.height());
            for (int j = i + 1; j < all.size(); j++) {
                assertThat(place.overlaps(all.get(j)))
                        .as(place + " over " + all.get(j))
                        .isFalse();
            }
        }
        assertThat(sheet.boxes()).hasSize(pieces);
    }

    @Test
    void linesRunAtRightAnglesFromTheirBoxes() {
        NetworkLayout.Result sheet = job(20, 3);
        sheet.lines().forEach((id, corners) -> {
            for (int i = 1; i < corners.size(); i++) {
                double dx = Math.abs(corners.get(i).x() - corners.get(i - 1).x());
                double dy = Math.abs(corners.get(i).y() - corners.get(i - 1).y());
                assertThat(Math.min(dx, dy)).as(id).isLessThan(1e-6);
            }
        });
    }

    /** A bar is as tall as its lines ask for, and leads them straight to what they feed. */
    @Test
    void aBarGrowsWithItsLines() {
        List<NetworkLayout.Box> boxes = new ArrayList<>(List.of(bar("BUS")));
        List<NetworkLayout.Line> lines = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            boxes.add(box("P" + i, 80));
            lines.add(new NetworkLayout.Line(
                    "L" + i,
                    new NetworkLayout.End("BUS", ""),
                    new NetworkLayout.End("P" + i, "left"),
                    new NetworkLayout.Size(90, 36)));
        }
        NetworkLayout.Result sheet = NetworkLayout.of(boxes, lines);
        assertThat(sheet.boxes().get("BUS").height()).isGreaterThan(5 * 40);
        assertThat(sheet.lines().values())
                .allSatisfy(corners -> assertThat(corners).hasSize(2));
    }

    /** Plus above minus, whichever way the lines are led. */
    @Test
    void portsKeepTheirOrder() {
        NetworkLayout.Box bank = new NetworkLayout.Box(
                "BANK",
                new NetworkLayout.Size(60, 60),
                List.of(new NetworkLayout.Port("plus", true), new NetworkLayout.Port("minus", true)),
                new NetworkLayout.Size(0, 0));
        NetworkLayout.Box load = new NetworkLayout.Box(
                "LOAD",
                new NetworkLayout.Size(60, 60),
                List.of(new NetworkLayout.Port("plus", false), new NetworkLayout.Port("minus", false)),
                new NetworkLayout.Size(0, 0));
        NetworkLayout.Result sheet = NetworkLayout.of(List.of(bank, load), List.of());
        for (String id : List.of("BANK", "LOAD")) {
            assertThat(sheet.ports().get(new NetworkLayout.End(id, "plus")).y())
                    .isLessThan(sheet.ports()
                            .get(new NetworkLayout.End(id, "minus"))
                            .y());
        }
    }

    @Test
    void aLineToNowhereIsRefused() {
        assertThatThrownBy(() -> NetworkLayout.of(List.of(box("A", 10)), List.of(line("A", "B", 1))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void weightFollowsTheArea() {
        assertThat(LayoutDrawer.weight(1)).isEqualTo(1);
        assertThat(LayoutDrawer.weight(16)).isEqualTo(2);
        assertThat(LayoutDrawer.weight(95)).isEqualTo(5);
        assertThat(LayoutDrawer.weight(400)).isEqualTo(8);
    }
}
