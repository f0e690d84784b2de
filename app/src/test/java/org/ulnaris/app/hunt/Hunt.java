package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.exchange.ExchangeService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;

/**
 * Looks for the next fault with odd values, over a small job in a shop of its own. The seed and how much is tried are given by
 * {@code -Dulnaris.hunt.seed} and {@code -Dulnaris.hunt.sequences}; {@code ./ulnaris hunt} takes many. What it finds becomes a test of its own
 * elsewhere.
 */
@TestPropertySource(properties = "ulnaris.shop=A shop of its own: it is left in disorder")
abstract class Hunt extends AppTest {
    static final List<String> ODD = List.of(
            "",
            " ",
            "0",
            "-0",
            "-1",
            "1",
            "2",
            "1e-400",
            "1e400",
            "1e15",
            "NaN",
            "Infinity",
            "9".repeat(900),
            "x".repeat(100_000),
            " ".repeat(40_000) + "1",
            "\u0000",
            "\u0001\uFFFE",
            "\uD800",
            "\u202e12",
            "🔌",
            "ß".repeat(24),
            "'",
            "\"><script>",
            "../../etc",
            "%zz",
            "${7*7}",
            "2.4\u00a0m",
            "1/2 in",
            "1/0",
            "F1",
            "f1",
            "K1",
            "BANK.plus",
            "BANK",
            "true",
            "null",
            "=1+1",
            "1,2,3",
            "2026-02-30",
            "99999-01-01",
            "M8",
            "70 mm²",
            "4/0");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    RequestMappingHandlerMapping routes;

    @Autowired
    LoadsService loads;

    @Autowired
    ExchangeService exchange;

    /** Of each page of a cable so many are looked at. */
    private static final int MOST_CABLES = 3;

    final Random random = new Random(Long.getLong("ulnaris.hunt.seed", 11));
    /** What was done so far, for the message of a find. */
    final List<String> trail = new ArrayList<>();

    static long sequences(long usual) {
        return Long.getLong("ulnaris.hunt.sequences", usual);
    }

    <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    Job aSmallJob() {
        Job job = newJob(random.nextBoolean() ? Units.METRIC : Units.US);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F1", "family", "CLASS_T", "rating", "200 A"));
        long load = loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "2 kW"));
        loads.changeCase(loads.addCase(job.id(), "Work", 2), "Work", 2, Map.of(load, State.ON));
        newCable(job, Map.of("tag", "K1", "from", "BANK.plus", "to", "F1.in"));
        newCable(job, Map.of("tag", "K2", "from", "F1.out", "to", "INV.plus"));
        newCable(job, Map.of("tag", "K3", "from", "INV.minus", "to", "BANK.minus", "polarity", "NEGATIVE"));
        return job;
    }

    static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "… (" + text.length() + ")" : text;
    }

    void answered(String what, MvcTestResult result) {
        assertThat(result.getUnresolvedException()).as(what + " after " + trail).isNull();
        assertThat(result.getResponse().getStatus())
                .as(what + " after " + trail)
                .isLessThan(500);
    }

    /** The pages of a job and of the shop, from the routes of the application. */
    List<String> pages(Job job) {
        Set<String> pages = new TreeSet<>();
        for (RequestMappingInfo route : routes.getHandlerMethods().keySet()) {
            if (route.getMethodsCondition().getMethods().contains(RequestMethod.GET)) {
                route.getPatternValues().forEach(pattern -> pages.addAll(filled(pattern, job)));
            }
        }
        return List.copyOf(pages);
    }

    private List<String> filled(String pattern, Job job) {
        if (pattern.startsWith("/api/v1/openapi") || pattern.equals("/error") || pattern.contains("swagger")) {
            return List.of();
        }
        if (pattern.startsWith("/jobs/{id}") || pattern.startsWith("/api/v1/jobs/{id}")) {
            return List.of(pattern.replace("{id}", job.id().toString()));
        }
        if (pattern.startsWith("/cables/{id}")) {
            List<Cable> some = new ArrayList<>(cables.of(job.id()));
            Collections.shuffle(some, random);
            return some.stream()
                    .limit(MOST_CABLES)
                    .map(cable -> pattern.replace("{id}", cable.id().toString()).replace("{stepKey}", "cut"))
                    .toList();
        }
        if (pattern.startsWith("/equipment/{id}")) {
            return loads.idsByTag(job.id()).values().stream()
                    .map(id -> pattern.replace("{id}", id.toString()))
                    .toList();
        }
        return pattern.contains("{") ? List.of() : List.of(pattern);
    }

    void everyPageAnswers(Job job) {
        for (String page : pages(job)) {
            MvcTestResult result = get(page);
            answered(page, result);
            assertThat(result.getResponse().getStatus())
                    .as(page + " after " + trail)
                    .isNotEqualTo(422);
        }
    }

    void theFileComesBack(Job job) {
        String json = exchange.json(job.id());
        try {
            Job back = exchange.importJson(json);
            assertThat(exchange.json(back.id())).as("after " + trail).isEqualTo(json);
            jobs.delete(back.id());
        } catch (ExchangeService.RefusedException e) {
            throw new AssertionError("its own file is refused after " + trail + ": " + e.getMessage(), e);
        }
        if (!cables.of(job.id()).isEmpty()) {
            assertThat(exchange.preview(job.id(), exchange.csv(job.id())).faults())
                    .as("its own table after " + trail)
                    .isEmpty();
        }
    }
}
