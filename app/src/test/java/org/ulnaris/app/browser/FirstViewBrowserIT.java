package org.ulnaris.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

/** Verdict and reason stand in the first view of a desk and of a phone, above what is fixed at its bottom. */
class FirstViewBrowserIT extends BrowserTest {
    /** How far down the lowest of both reaches, and where what is fixed at the bottom begins. */
    private static final String REACH = """
            () => {
              const shown = (e) => e.getClientRects().length > 0;
              const verdict = [...document.querySelectorAll('main .verdict')].find((e) => shown(e) && !e.closest('.counts'));
              const reason = [...document.querySelectorAll('main .headline p, main .panel-said p, main .finding-text, main .said-why, main .answer-why')]
                .find((e) => shown(e) && e.textContent.trim().length > 8);
              const bar = [...document.querySelectorAll('.places')].find((e) => getComputedStyle(e).position === 'fixed');
              const floor = bar ? bar.getBoundingClientRect().top : innerHeight;
              return [verdict, reason].map((e) => e ? e.getBoundingClientRect().bottom - floor : 9999);
            }
            """;

    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void verdictAndReasonAreSeenAtOnce(int width, int height) {
        page.setViewportSize(width, height);
        Job lantern = jobs.all().stream()
                .filter(one -> one.details().name().equals("Lantern Cart"))
                .findFirst()
                .orElseThrow();
        Cable stopped = newCable(newJob(Units.METRIC), Map.of("tag", "THIN", "size", "6 mm²", "series", "METRIC"));
        Stream<String> jobPages = Stream.of(
                        "", "/plan", "/loads", "/findings", "/budget", "/what-if", "/match", "/make", "/prove", "/pack")
                .map(place -> "/jobs/" + lantern.id() + place);
        Stream<String> cablePages = Stream.of("plan", "match", "make", "prove", "pack")
                .map(place -> "/cables/" + stopped.id() + "/" + place);
        Stream<String> others =
                Stream.of("/?ask=120%20A%203%20m%2012%20V%206%20mm%C2%B2", "/jobs/" + lantern.id() + "?at=LAMP%2B");
        for (String path :
                Stream.of(jobPages, cablePages, others).flatMap(paths -> paths).toList()) {
            visit(path);
            List<?> reach = (List<?>) page.evaluate(REACH);
            assertThat(reach)
                    .as(path)
                    .allSatisfy(bottom ->
                            assertThat(((Number) bottom).doubleValue()).isLessThanOrEqualTo(0));
        }
    }

    /** Four screens of a phone, two of a desk: no page of a cable is longer with everything closed, nor wider than its screen. */
    @ParameterizedTest
    @CsvSource({"1280, 800, 2", "390, 844, 4", "360, 740, 5"})
    void noPageOfACableIsLong(int width, int height, int screens) {
        page.setViewportSize(width, height);
        Job job = newJob(Units.METRIC);
        Cable plain = newCable(job, Map.of("size", "50 mm²", "series", "METRIC"));
        Cable joined = newCable(job, Map.of("size", "6 mm²", "series", "METRIC", "current", "20 A"));
        post("/cables/" + joined.id() + "/match/A", Map.of("family", "PV"));
        post("/cables/" + joined.id() + "/match/B", Map.of("family", "HEAVY_SPLICE"));
        for (Cable cable : List.of(plain, joined)) {
            for (String place :
                    List.of("plan", "match", "match?at=A", "match?at=B", "match?at=B.crimp", "make", "prove", "pack")) {
                visit("/cables/" + cable.id() + "/" + place);
                List<?> size = (List<?>)
                        page.evaluate("[document.documentElement.scrollHeight, document.documentElement.scrollWidth]");
                assertThat(((Number) size.get(0)).intValue())
                        .as(cable.details().tag() + " " + place)
                        .isLessThanOrEqualTo(screens * height);
                assertThat(((Number) size.get(1)).intValue())
                        .as(cable.details().tag() + " " + place)
                        .isLessThanOrEqualTo(width);
            }
        }
    }
}
