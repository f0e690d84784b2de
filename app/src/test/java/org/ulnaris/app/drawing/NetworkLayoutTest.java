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
            boxes.add(new NetworkLayout.Box("P" + i, new NetworkLayout.Size(60 + random.nextInt(100), 40)));
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
        return new NetworkLayout.Line("L" + n, from, to, new NetworkLayout.Size(90, 36));
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

    @Test
    void aLineToNowhereIsRefused() {
        assertThatThrownBy(() -> NetworkLayout.of(
                        List.of(new NetworkLayout.Box("A", new NetworkLayout.Size(10, 10))),
                        List.of(line("A", "B", 1))))
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
