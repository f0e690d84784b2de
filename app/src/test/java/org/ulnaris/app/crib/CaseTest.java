package org.ulnaris.app.crib;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.termination.Lug;

/** The crib as its cases: the lug in the hand lights the dies that do for it. */
class CaseTest extends AppTest {
    @Autowired
    private CribService crib;

    @Autowired
    private LugStock stock;

    private String with(String lug, String size) {
        return body(mvc.get().uri("/crib?lug={lug}&size={size}", lug, size).exchange());
    }

    private static Map<String, String> lit(String page) {
        Map<String, String> lit = new HashMap<>();
        Matcher nests = Pattern.compile("<li class=\"nest lit-nest n-(\\w+)\">.*?nest-tag\">([^<]+)<", Pattern.DOTALL)
                .matcher(page);
        while (nests.find()) {
            lit.put(nests.group(2), nests.group(1));
        }
        return lit;
    }

    @ParameterizedTest
    @CsvSource({
        "DIN 50 · M8, ''",
        "DIN 16 · M6, ''",
        "DIN 120 · M12, ''",
        "DIN 50 · M8, 1/0 AWG",
        "din 70 · m10, 2/0 AWG"
    })
    void theLugLightsItsDies(String code, String size) {
        Lug lug = stock.all().stream()
                .filter(one -> one.code().equalsIgnoreCase(code))
                .findFirst()
                .orElseThrow();
        double area = size.isEmpty()
                ? ConductorSizes.designated(lug.forSize()).orElseThrow().areaMm2()
                : ConductorSizes.designated(size).orElseThrow().areaMm2();
        Map<String, String> expected = new HashMap<>();
        DieChooser.rank(crib.dies(), area, lug.barrel())
                .forEach(crimp -> expected.put(
                        crimp.die().tag(), DieChooser.dieVerdict(crimp).name()));
        assertThat(lit(with(code, size)))
                .containsExactlyInAnyOrderEntriesOf(expected)
                .isNotEmpty();
    }

    @Test
    void nothingIsLitWithoutALug() {
        assertThat(lit(body(get("/crib")))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"no such lug, '', for example DIN 50", "DIN 50 · M8, ninety, 'ninety'", "<b>, '', &lt;b&gt;"})
    void whatIsNoLugIsSaidAndKept(String code, String size, String told) {
        assertThat(mvc.get().uri("/crib?lug={lug}&size={size}", code, size)).hasStatus(422);
        assertThat(with(code, size)).contains(told).doesNotContain("<b>x");
    }

    /** A conductor that is nowhere near the bore is refused, not judged by areas: no 240 mm² in a lug for 16, no 6 mm² in one for 240. */
    @ParameterizedTest
    @CsvSource({"DIN 16 · M8, 240 mm²", "DIN 240 · M12, 6 mm²", "DIN 50 · M8, 35 mm²"})
    void noPairIsTakenForAConductorThatDoesNotFit(String lug, String size) {
        assertThat(mvc.get().uri("/crib?lug={lug}&size={size}", lug, size)).hasStatus(422);
        assertThat(with(lug, size)).contains("fills its bore").doesNotContain("Take <b>", ">Fit ", "lit-nest");
    }

    /** A lug that names no size is asked for its conductor; a conductor that can't be read gives no advice for another. */
    @Test
    void theConductorIsAskedForWhereItIsNotKnown() {
        post(
                "/stock/lugs",
                Map.of(
                        "code",
                        "unnamed find",
                        "outer",
                        "14.5",
                        "bore",
                        "10",
                        "depth",
                        "28",
                        "padWidth",
                        "22",
                        "hole",
                        "8.4"));
        assertThat(mvc.get().uri("/crib?lug={lug}&size=", "unnamed find")).hasStatus(422);
        assertThat(with("unnamed find", "")).doesNotContain("No pair of the crib", "lit-nest");
        assertThat(with("unnamed find", "50 mm²")).contains("lit-nest");
        post("/stock/lugs/remove", Map.of("code", "unnamed find"));
        assertThat(lit(with("DIN 50 · M8", "ninety"))).isEmpty();
    }

    @Test
    void thePressKeepsTheLugInTheHand() {
        String tag = crib.dies().stream()
                .map(Die::tag)
                .filter("K14"::equals)
                .findFirst()
                .orElseThrow();
        var fitted = post("/crib/fit", Map.of("tag", tag, "tool", "B1", "lug", "DIN 50 · M8", "size", ""));
        assertThat(fitted.getResponse().getRedirectedUrl()).startsWith("/crib?lug=DIN%2050");
        assertThat(with("DIN 50 · M8", "")).contains("is in <b>B1</b>").doesNotContain("Fit K14 in B1");
        var back = post("/crib/box", Map.of("tag", tag, "lug", "DIN 50 · M8"));
        assertThat(back.getResponse().getRedirectedUrl()).startsWith("/crib?lug=");
        assertThat(with("DIN 50 · M8", "")).contains("Fit K14 in B1");
        post("/crib/fit", Map.of("tag", "K16", "tool", "B1"));
    }

    /** All dies of a case are drawn to one scale: what is 11.9 mm across flats is half as high as what is 23.8 mm. */
    @Test
    void aCaseIsDrawnToOneScale() {
        for (Die die : crib.dies()) {
            Drawing nest = DieDrawer.nest(die, 60, die.tag());
            double[] heights = nest.marks().stream()
                    .filter(mark -> mark.css().equals("die-open"))
                    .flatMapToDouble(mark -> Arrays.stream(mark.path().split("[MLZ]"))
                            .filter(point -> !point.isBlank())
                            .mapToDouble(
                                    point -> Double.parseDouble(point.strip().split(" ")[1])))
                    .toArray();
            double height = Arrays.stream(heights).max().orElseThrow()
                    - Arrays.stream(heights).min().orElseThrow();
            assertThat(height).as(die.tag()).isCloseTo(die.acrossFlatsMm(), within(0.03));
        }
    }
}
