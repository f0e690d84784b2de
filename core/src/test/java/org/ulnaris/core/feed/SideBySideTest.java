package org.ulnaris.core.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.feed.SideBySide.Carrier;

class SideBySideTest {
    /** Of two alike but one four times as long, the short one takes four fifths: together they carry 285 / 0.8 = 356 A, not 570. */
    @Test
    void theShortOneIsFullFirst() {
        assertThat(SideBySide.ampacityA(List.of(new Carrier(285, 0.16e-3), new Carrier(285, 0.64e-3))))
                .isCloseTo(356.25, within(1e-9));
        assertThat(SideBySide.ampacityA(List.of(new Carrier(285, 1e-3), new Carrier(285, 1e-3))))
                .isCloseTo(570, within(1e-9));
        assertThat(SideBySide.ampacityA(List.of(new Carrier(100, 1e-3)))).isEqualTo(100);
    }

    /** Against the current divider itself: at the limit one is full and none beyond, and a little more is too much for one. */
    @Test
    void atTheLimitOneIsFullAndNoneBeyond() {
        Random random = new Random(7);
        for (int round = 0; round < 500; round++) {
            List<Carrier> carriers = new ArrayList<>();
            for (int i = 0; i < 2 + random.nextInt(4); i++) {
                carriers.add(new Carrier(20 + 400 * random.nextDouble(), 1e-4 + 1e-2 * random.nextDouble()));
            }
            double limitA = SideBySide.ampacityA(carriers);
            double volt =
                    limitA / carriers.stream().mapToDouble(one -> 1 / one.ohm()).sum();
            double fullest = carriers.stream()
                    .mapToDouble(one -> volt / one.ohm() / one.ampacityA())
                    .max()
                    .orElseThrow();
            assertThat(fullest).isCloseTo(1, within(1e-9));
        }
    }
}
