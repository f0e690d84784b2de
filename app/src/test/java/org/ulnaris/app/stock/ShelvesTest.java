package org.ulnaris.app.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;

class ShelvesTest extends AppTest {
    private static final String LUG = "DIN 95 · M10";

    @Autowired
    private Shelf shelf;

    private Map<String, Integer> before;

    @BeforeEach
    void count() {
        before = shelf.all();
    }

    @AfterEach
    void asBefore() {
        shelf.replace(before);
    }

    private void press(String code, int by) {
        assertThat(post("/stock/shelf/step", Map.of(by > 0 ? "more" : "fewer", code)))
                .hasStatus(302);
    }

    @Test
    void aPressCounts() {
        press(LUG, 1);
        press(LUG, 1);
        assertThat(shelf.all()).containsEntry(LUG, 2);
        press(LUG, -1);
        press(LUG, -1);
        assertThat(shelf.all()).containsEntry(LUG, 0);
        assertThat(body(get("/stock"))).contains("One " + LUG + " more", "none-left");
        press(LUG, 1);
        press(LUG, -1);
        press(LUG, -1);
        assertThat(shelf.all()).as("off the list").isEqualTo(before);
        press(LUG, -1);
        assertThat(shelf.all()).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "no such part", "DIN 95", "<b>"})
    void whatIsNoPartIsNotCounted(String code) {
        assertThat(post("/stock/shelf/step", Map.of("more", code))).hasStatus(404);
        assertThat(post("/stock/shelf/step", Map.of("fewer", code))).hasStatus(404);
        assertThat(shelf.all()).isEqualTo(before);
    }

    /** Every lug of the catalogue has its place in a series, and one only. */
    @Test
    void everyLugHasItsPlace() {
        List<String> codes = LugCatalogue.shipped().stream()
                .filter(lug -> !lug.forSize().isEmpty())
                .map(Lug::code)
                .toList();
        List<String> placed = Shelves.of(LugCatalogue.shipped(), Map.of()).series().stream()
                .flatMap(series -> series.rows().stream())
                .flatMap(row -> row.cells().stream())
                .map(Shelves.Cell::code)
                .filter(code -> !code.isEmpty())
                .toList();
        assertThat(placed).containsExactlyInAnyOrderElementsOf(codes).hasSizeGreaterThan(80);
    }

    /** The lugs of a shelf are drawn to one scale: on sheets of one size. */
    @Test
    void theShelfIsDrawnToOneScale() {
        Shelves shelves = Shelves.of(LugCatalogue.shipped(), Map.of("DIN 16 · M6", 3, "DIN 240 · M12", 1));
        assertThat(shelves.counted())
                .hasSize(2)
                .allSatisfy(part -> assertThat(part.drawing().widthMm())
                        .isEqualTo(shelves.counted().get(0).drawing().widthMm()));
    }
}
