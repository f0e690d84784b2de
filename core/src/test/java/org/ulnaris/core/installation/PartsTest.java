package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.installation.Parts.Joint;
import org.ulnaris.core.installation.Parts.Part;

class PartsTest {
    private final Set<String> pieces = new LinkedHashSet<>();
    private final List<Joint> joints = new ArrayList<>();

    private void join(String a, String b) {
        pieces.add(a);
        pieces.add(b);
        joints.add(new Joint("C" + joints.size(), a, b));
    }

    private List<Part> parts(String... bars) {
        pieces.addAll(List.of(bars));
        return Parts.of(List.copyOf(pieces), Set.of(bars), joints);
    }

    @Test
    void aLoadIsDrawnWithItsBlockNotWithTheReturnOfAll() {
        join("BANK", "MAIN");
        join("BANK", "RETURN");
        for (int block = 1; block <= 3; block++) {
            join("MAIN", "BLOCK" + block);
            for (int load = 0; load < 25; load++) {
                join("BLOCK" + block, "L" + block + "-" + load);
                join("L" + block + "-" + load, "RETURN");
            }
        }

        List<Part> parts = parts("MAIN", "RETURN", "BLOCK1", "BLOCK2", "BLOCK3");

        assertThat(parts).extracting(Part::hub).containsExactly("MAIN", "BLOCK1", "BLOCK2", "BLOCK3");
        assertThat(parts.get(0).pieces())
                .containsExactlyInAnyOrder("BANK", "MAIN", "RETURN", "BLOCK1", "BLOCK2", "BLOCK3");
        assertThat(parts.get(1).joints()).hasSize(50);
        assertThat(parts.get(2).pieces()).hasSize(27).contains("BLOCK2", "RETURN", "L2-0", "L2-24");
        assertThat(parts.get(0).pieces()).contains("BANK", "MAIN", "RETURN", "BLOCK1", "BLOCK2", "BLOCK3");
    }

    /** The link between two returns is drawn with a part where one of them is seen; one that meets nothing stays by itself. */
    @Test
    void aLinkBetweenBarsIsDrawnWithWhatItMeets() {
        for (String block : List.of("1", "2")) {
            for (int load = 0; load < 20; load++) {
                join("P" + block, "L" + block + load);
                join("L" + block + load, "N" + block);
            }
        }
        join("N1", "N2");
        join("FAR", "AWAY");

        List<Part> parts = parts("P1", "N1", "P2", "N2", "FAR");

        assertThat(parts).extracting(Part::hub).containsExactly("P1", "P2", "FAR");
        assertThat(parts).extracting(part -> part.joints().size()).containsExactly(41, 40, 1);
        assertThat(parts.get(0).pieces()).contains("N1", "N2");
    }

    /** At the most that is seen at once, and one beyond it. */
    @Test
    void whatHangsOnOneBarIsDividedBeyondTheMost() {
        for (int load = 0; load < Parts.MOST_CABLES; load++) {
            join("BAR", "L" + load);
        }
        assertThat(parts("BAR")).hasSize(1);

        join("BAR", "ONE-MORE");
        assertThat(parts("BAR"))
                .extracting(part -> part.number() + "/" + part.of())
                .containsExactly("1/2", "2/2");
        assertThat(parts("BAR").get(1).pieces()).containsExactlyInAnyOrder("BAR", "ONE-MORE");
    }

    @Test
    void withoutABarThePieceWithTheMostCablesDivides() {
        for (int load = 0; load < 200; load++) {
            join("BANK", "L" + load);
            join("L" + load, "BANK");
        }
        assertThat(parts()).hasSize(7).allMatch(part -> part.hub().equals("BANK"));
    }

    @Test
    void whatHangsOnNothingIsThereToo() {
        pieces.add("SPARE");
        join("BANK", "LAMP");
        assertThat(parts("LONE-BAR"))
                .containsExactly(
                        new Part("LONE-BAR", 1, 1, Set.of(), Set.of("LONE-BAR")),
                        new Part("", 1, 1, Set.of("C0"), Set.of("SPARE", "BANK", "LAMP")));
    }

    @Test
    void aCableToNothingIsRefused() {
        assertThatThrownBy(() -> Parts.of(List.of("A"), Set.of(), List.of(new Joint("C", "A", "B"))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Parts.of(List.of("A"), Set.of(), List.of(new Joint("C", "A", "A"))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Every cable is in one part with both of its ends, every piece in some, none is larger than can be seen. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void everyCableIsInOnePart(long seed) {
        Random random = new Random(seed);
        int size = 2 + random.nextInt(500);
        for (int i = 0; i < size; i++) {
            pieces.add("P" + i);
        }
        Set<String> bars = new HashSet<>();
        for (int i = 0; i < random.nextInt(size); i++) {
            bars.add("P" + random.nextInt(size));
        }
        int few = 1 + random.nextInt(size);
        for (int i = 0; i < random.nextInt(1000); i++) {
            int a = random.nextInt(random.nextBoolean() ? few : size);
            int b = (a + 1 + random.nextInt(size - 1)) % size;
            join("P" + a, "P" + b);
        }

        List<Part> parts = Parts.of(List.copyOf(pieces), bars, joints);

        Map<String, Part> of = new HashMap<>();
        for (Part part : parts) {
            assertThat(part.joints()).hasSizeLessThanOrEqualTo(Parts.MOST_CABLES);
            part.joints().forEach(tag -> assertThat(of.put(tag, part)).isNull());
        }
        assertThat(of.keySet()).isEqualTo(joints.stream().map(Joint::tag).collect(Collectors.toSet()));
        joints.forEach(joint -> assertThat(of.get(joint.tag()).pieces()).contains(joint.a(), joint.b()));
        assertThat(parts.stream().flatMap(part -> part.pieces().stream()).collect(Collectors.toSet()))
                .isEqualTo(pieces);
        assertThat(parts).as("the same again").isEqualTo(Parts.of(List.copyOf(pieces), bars, joints));
    }
}
