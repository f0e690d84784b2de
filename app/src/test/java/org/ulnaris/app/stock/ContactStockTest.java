package org.ulnaris.app.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.Family;

class ContactStockTest extends AppTest {
    @Autowired
    private ContactStock stock;

    @Autowired
    private Shelf shelf;

    @AfterEach
    void clear() {
        stock.own().forEach(contact -> stock.remove(contact.code()));
        shelf.replace(Map.of());
    }

    private MvcTestResult take(String text) {
        return takeParts("contacts", text, false);
    }

    private static Map<String, String> frame(String code) {
        Map<String, String> typed = new HashMap<>(ContactStock.FRESH);
        typed.putAll(Map.of(
                "code", code, "family", "TWO_POLE", "from", "6 AWG", "to", "16 mm2", "strip", "12", "depth", "11 mm"));
        typed.putAll(
                Map.of("reach", "52", "height", "21", "housing", "owl frame", "rated", "38 A", "reduced", "6 mm²"));
        typed.putAll(Map.of("sealFrom", "3", "sealTo", "9 mm", "outer", "7.5 mm", "bore", "5.4"));
        return typed;
    }

    @Test
    void anEnteredContactIsRankedAndCanBePicked() {
        assertThat(post("/stock/contacts", frame("owl frame, 16"))).hasStatus(302);
        Contact kept = stock.coded("owl frame, 16").orElseThrow();
        assertThat(kept.wire().fromMm2()).isCloseTo(13.3, within(0.01));
        assertThat(kept.tube().orElseThrow().boreMm()).isEqualTo(5.4);
        assertThat(body(get("/stock/contacts"))).contains("Entered here", "owl frame, 16");
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "16 mm2"));
        String path = "/cables/" + cable.id() + "/match/A";
        String page = body(postHtmx(path, Map.of("family", "TWO_POLE", "contact", "owl frame, 16")));
        assertThat(page).contains("value=\"owl frame, 16\" checked", "Dies in the crib", "13.3 to 16");
        var removed = post("/stock/contacts/remove", Map.of("code", "owl frame, 16"));
        assertThat(body(removed)).contains("The contact is removed", "value=\"owl frame, 16\"");
        assertThat(get("/cables/" + cable.id() + "/match")).hasStatusOk();
        assertThat(get("/cables/" + cable.id() + "/make")).hasStatusOk();
    }

    @ParameterizedTest
    @CsvSource({
        "code, '', Needs an entry",
        "family, TUBE_LUG, lugs are entered as lugs",
        "from, thick, 1.5 mm² or 16 AWG",
        "to, 1, at least the smallest conductor",
        "sealTo, 2, both ends",
        "bore, 9, the inside smaller",
        "code, TP wren 16, Already in use"
    })
    void badContactsKeepWhatWasTyped(String field, String typed, String said) {
        Map<String, String> all = frame("bad one");
        all.put(field, typed);
        var refused = post("/stock/contacts", all);
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains(said, "owl frame", "value=\"16 mm2\"".replace("16 mm2", all.get("to")));
        assertThat(stock.own()).isEmpty();
    }

    @Test
    void whatIsWrittenCanBeRead() {
        String written = body(get("/stock/contacts.csv"));
        assertThat(written).startsWith("code,family,style,from,to,tight,reduced,rated,strip");
        String renamed = written.lines()
                .map(line -> line.startsWith("code,") ? line : "re " + line)
                .reduce("", (all, line) -> all + line + "\n");
        assertThat(take(renamed)).hasStatus(302);
        assertThat(stock.own()).hasSameSizeAs(ContactCatalogue.shipped());
        for (Contact shipped : ContactCatalogue.shipped()) {
            Contact again = stock.coded("re " + shipped.code()).orElseThrow();
            assertThat(again.family()).isEqualTo(shipped.family());
            assertThat(again.style()).isEqualTo(shipped.style());
            assertThat(again.wire().toMm2()).isCloseTo(shipped.wire().toMm2(), within(1e-2));
            assertThat(again.stripMm()).isCloseTo(shipped.stripMm(), within(1e-3));
            assertThat(again.seat().nutNm()).isEqualTo(shipped.seat().nutNm());
        }
        assertThat(body(get("/stock/contacts"))).contains("taken from a file.");
        int before = stock.own().size();
        assertThat(undo("/stock/contacts", LastSteps.CONTACTS, Map.of())).hasStatus(302);
        assertThat(stock.own()).hasSizeLessThan(before);
    }

    @Test
    void aFaultyFileIsRefusedWhole() {
        var refused = take("code,family,from,to,strip,depth,reach\nok,PV,2 mm²,4,8,7,40\nbad,PV,9,4,8,7,40\n");
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("Nothing was taken", "Row 3");
        assertThat(stock.own()).isEmpty();
    }

    @Test
    void aHeavySpliceIsPressedSleevedAndSharesItsDies() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        String path = "/cables/" + cable.id() + "/match/B";
        String page = body(postHtmx(path, Map.of("family", "HEAVY_SPLICE")));
        assertThat(page).contains("splice 50", "before and after", "over both cables", "K14");
        assertThat(body(get("/cables/" + cable.id() + "/bench/measure-b"))).doesNotContain("Fault ·");
        assertThat(body(get("/cables/" + cable.id() + "/pack"))).doesNotContain("Fault ·");
        assertThat(stock.coded("splice 50").orElseThrow().family()).isEqualTo(Family.HEAVY_SPLICE);
    }

    @Test
    void whatIsOnTheShelfComesFirst() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        assertThat(post("/stock/shelf", Map.of("shelf", "3 ku 50 bell M8\n2 PV kite\n\n4 KU 50 bell · M8")))
                .hasStatus(302);
        assertThat(shelf.ends()).containsEntry("KU 50 bell · M8", 7).containsEntry("PV kite", 2);
        assertThat(body(get("/cables/" + cable.id() + "/match")))
                .contains("the best, <b class=\"fig\">KU 50 bell · M8", "7 on the shelf", "none on the shelf");
        assertThat(body(get("/stock"))).contains("7 KU 50 bell · M8");
        var refused = post("/stock/shelf", Map.of("shelf", "three KU 50 bell"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("three KU 50 bell", "one part a line");
        assertThat(shelf.text().lines()).hasSize(2);
    }
}
