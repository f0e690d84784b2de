package org.ulnaris.app.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.util.HtmlUtils;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.drawing.ContactShape;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;

class ShelvesTest extends AppTest {
    private static final String LUG = "DIN 95 · M10";

    @Autowired
    private Shelf shelf;

    @Autowired
    private LugStock lugs;

    private Map<String, Shelf.Count> before;

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
        assertThat(shelf.all()).containsEntry(LUG, new Shelf.Count(2, 0));
        press(LUG, -1);
        press(LUG, -1);
        assertThat(shelf.all()).containsEntry(LUG, new Shelf.Count(0, 0));
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
        List<String> placed = LugSeries.of(LugCatalogue.shipped(), Map.of()).stream()
                .flatMap(series -> series.rows().stream())
                .flatMap(row -> row.cells().stream())
                .map(LugSeries.Cell::code)
                .filter(code -> !code.isEmpty())
                .toList();
        assertThat(placed).containsExactlyInAnyOrderElementsOf(codes).hasSizeGreaterThan(80);
    }

    /** The parts of a shelf are drawn to one scale: on sheets of one size. */
    @Test
    void aShelfIsDrawnToOneScale() {
        List<String> some = List.of(
                "DIN 16 · M6",
                "DIN 240 · M12",
                "cable 16 mm²",
                "cable 240 mm²",
                "nut M6",
                "nut M12",
                "TP wren 16",
                "splice 70",
                "fuse blade F 10 A",
                "fuse SF51 200 A");
        Map<String, Shelf.Count> counts =
                some.stream().collect(Collectors.toMap(code -> code, code -> new Shelf.Count(3, 0)));
        List<Shelves> shelves = Shelves.of(shelf.parts(), LugCatalogue.shipped(), ContactCatalogue.shipped(), counts);
        assertThat(shelves).hasSize(5).allSatisfy(one -> {
            assertThat(one.places()).hasSize(2);
            assertThat(one.places().get(0).drawing().widthMm())
                    .isEqualTo(one.places().get(1).drawing().widthMm());
        });
    }

    /** A splice is two barrels end to end, as DIN 46267-1 gives them (recalled); of a small terminal no table tells the form. */
    @Test
    void aContactIsDrawnWhereItsFormIsKnown() {
        Contact splice = ContactCatalogue.coded("splice 70").orElseThrow();
        assertThat(ContactShape.lengthMm(splice)).isEqualTo(56);
        assertThat(ContactShape.widthMm(splice)).isEqualTo(16.5);
        Contact connector = ContactCatalogue.coded("TP wren 16").orElseThrow();
        assertThat(ContactShape.widthMm(connector)).isEqualTo(connector.seat().heightMm());
        assertThat(ContactShape.lengthMm(connector))
                .isGreaterThan(connector.seat().reachMm());
        assertThat(ContactShape.known(ContactCatalogue.coded("red ring").orElseThrow()))
                .isFalse();
    }

    /** Whatever can be counted has its place, and comes back from the list as it was typed. */
    @Test
    void everyPartIsOnItsShelfAndInTheList() {
        Map<String, Shelf.Count> all = shelf.parts()
                .map(Part::code)
                .distinct()
                .collect(Collectors.toMap(code -> code, code -> new Shelf.Count(code.length(), code.length() % 3)));
        assertThat(all).hasSizeGreaterThan(300);
        shelf.replace(all);
        String text = shelf.text();
        shelf.replace(Map.of());
        assertThat(post("/stock/shelf", Map.of("shelf", text))).hasStatus(302);
        assertThat(shelf.all()).isEqualTo(all);
        assertThat(Shelves.of(shelf.parts(), LugCatalogue.shipped(), ContactCatalogue.shipped(), all).stream()
                        .mapToInt(one -> one.places().size())
                        .sum())
                .isEqualTo(all.size());
        String page = body(get("/stock"));
        assertThat(page).contains("Nuts with their washers", "Split tubing", "class T 200 A");
    }

    @ParameterizedTest
    @CsvSource({
        "12 din 95 M10 >= 5, 12, 5",
        "12 DIN 95 · M10 ≥ 5, 12, 5",
        "12 DIN 95 · M10, 12, 0",
        "0 DIN 95 · M10 ≥100000, 0, 100000"
    })
    void theListSaysWhatShallLieThere(String line, int pieces, int least) {
        assertThat(post("/stock/shelf", Map.of("shelf", line))).hasStatus(302);
        assertThat(shelf.all()).isEqualTo(Map.of(LUG, new Shelf.Count(pieces, least)));
    }

    @ParameterizedTest
    @CsvSource({
        "7 cable 25 mm2, cable 25 mm²",
        "7 Cable 2.5mm², cable 2.5 mm²",
        "7 fuse CLASS T 200A, fuse class T 200 A",
        "7 nut #10, nut #10",
        "7 sleeve 4.8/1.5, sleeve 4.8/1.5"
    })
    void aPartIsFoundHoweverItIsWritten(String line, String code) {
        assertThat(post("/stock/shelf", Map.of("shelf", line))).hasStatus(302);
        assertThat(shelf.all()).isEqualTo(Map.of(code, new Shelf.Count(7, 0)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "12 DIN 95 · M10 ≥ many",
                "12 DIN 95 · M10 ≥ -1",
                "12 DIN 95 · M10 ≥ 100001",
                "≥ 5",
                "12 ≥ 5",
                "1e3 nut M8"
            })
    void aLineThatSaysNothingIsRefused(String line) {
        assertThat(post("/stock/shelf", Map.of("shelf", line))).hasStatus(422);
        assertThat(shelf.all()).isEqualTo(before);
    }

    private static final List<String> ODD_NAMES = List.of(
            "A >= 7", "A", "A ≥ 7", "T-B", "TB", "T B", "say \"5\"", "\"", "7", "3 A", "x\u00a0y", "C ≥", "≥ 5");

    /** Names are free: each part comes back from the list with its own count, whatever it is called. */
    @Test
    void everyNameKeepsItsCount() {
        Lug some = lugs.all().get(0);
        ODD_NAMES.forEach(code -> lugs.add(Records.with(some, Map.of("code", code))));
        try {
            Map<String, Shelf.Count> all = new HashMap<>();
            for (String code : ODD_NAMES) {
                all.put(code, new Shelf.Count(all.size() + 1, all.size() % 3));
            }
            shelf.replace(all);
            String text = shelf.text();
            shelf.replace(Map.of());
            assertThat(post("/stock/shelf", Map.of("shelf", text))).as(text).hasStatus(302);
            assertThat(shelf.all()).isEqualTo(all);

            assertThat(post("/stock/shelf", Map.of("shelf", "4 t.b"))).hasStatus(422);
            assertThat(body(post("/stock/shelf", Map.of("shelf", "4 t.b"))))
                    .contains("one of T B; T-B; TB, written exactly so");
            post("/stock/shelf", Map.of("shelf", "4 T B\n5 A >= 7"));
            assertThat(shelf.all()).isEqualTo(Map.of("T B", new Shelf.Count(4, 0), "A", new Shelf.Count(5, 7)));
        } finally {
            shelf.replace(Map.of());
            ODD_NAMES.forEach(lugs::remove);
        }
    }

    /** Saved while a lug is taken away for a moment, the list does not take its count away. */
    @Test
    void aPartThatIsOutKeepsItsCount() {
        Lug lug = Records.with(lugs.all().get(0), Map.of("code", "out and back"));
        lugs.add(lug);
        shelf.replace(Map.of(lug.code(), new Shelf.Count(9, 4)));
        lugs.remove(lug.code());
        post("/stock/shelf", Map.of("shelf", "12 " + LUG));
        lugs.add(lug);
        assertThat(shelf.all())
                .containsEntry(lug.code(), new Shelf.Count(9, 4))
                .containsEntry(LUG, new Shelf.Count(12, 0));
        shelf.replace(before);
        lugs.remove(lug.code());
    }

    @Test
    void theLeastIsPressedWhereItIsSeen() {
        press(LUG, 1);
        assertThat(body(get("/stock?least=DIN 95 · M10"))).contains("At least one " + LUG + " more");
        for (int press = 0; press < 3; press++) {
            assertThat(post("/stock/shelf/step", Map.of("leastMore", LUG, "least", LUG)))
                    .hasHeader("Location", "/stock?least=DIN%2095%20%C2%B7%20M10#shelves");
        }
        assertThat(shelf.all()).containsEntry(LUG, new Shelf.Count(1, 3));
        assertThat(body(get("/stock"))).contains("2 short of 3");
        post("/stock/shelf/step", Map.of("leastFewer", LUG));
        press(LUG, 1);
        assertThat(shelf.all()).containsEntry(LUG, new Shelf.Count(2, 2));
        assertThat(body(get("/stock"))).doesNotContain("short of 3", "short of 2");
        post("/stock/shelf/step", Map.of("leastFewer", LUG));
        post("/stock/shelf/step", Map.of("leastFewer", LUG));
        post("/stock/shelf/step", Map.of("leastFewer", LUG));
        assertThat(shelf.all()).as("never fewer than none").containsEntry(LUG, new Shelf.Count(2, 0));
        assertThat(post("/stock/shelf/step", Map.of())).hasStatus(404);
        assertThat(post("/stock/shelf/step", Map.of("leastMore", "no such part")))
                .hasStatus(404);
        assertThat(post("/stock/shelf/step", Map.of("more", LUG, "back", "https://elsewhere.example")))
                .hasHeader("Location", "/stock#shelves");
    }

    /** The list of a shop in which a counted lug is gone can be kept again. */
    @Test
    void aLugThatIsGoneStandsInNoList() {
        Map<String, String> lug =
                Map.of("code", "lost find", "outer", "14", "bore", "10", "depth", "20", "padWidth", "20", "hole", "8");
        post("/stock/lugs", lug);
        press("lost find", 1);
        assertThat(shelf.text()).contains("1 lost find");
        post("/stock/lugs/remove", Map.of("code", "lost find"));
        assertThat(shelf.text()).doesNotContain("lost find");
        assertThat(post("/stock/shelf", Map.of("shelf", shelf.text()))).hasStatus(302);
        assertThat(body(get("/stock"))).doesNotContain("lost find");
        post("/stock/lugs", lug);
        shelf.replace(Map.of());
        post("/stock/lugs/remove", Map.of("code", "lost find"));
        assertThat(shelf.all()).doesNotContainKey("lost find");
    }

    /** A reel that is counted says nothing of lugs: they are not "none on the shelf" for it. */
    @Test
    void cableOnTheShelfLeavesLugsUncounted() {
        shelf.replace(Map.of());
        press("cable 50 mm²", 1);
        assertThat(shelf.ends()).isEmpty();
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).doesNotContain("on the shelf");
    }

    @ParameterizedTest
    @ValueSource(strings = {"lugs", "contacts", "parts"})
    void whatIsPressedInTheCatalogueComesBackThere(String page) {
        String shown = body(get("/stock/" + page));
        Matcher press = Pattern.compile("name=\"more\" value=\"([^\"]*)\"").matcher(shown);
        assertThat(press.find()).isTrue();
        String code = HtmlUtils.htmlUnescape(press.group(1));
        assertThat(post("/stock/shelf/step", Map.of("more", code, "back", page)))
                .hasHeader("Location", "/stock/" + page + "#shelves");
        assertThat(shelf.all()).containsKey(code);
    }
}
