package org.ulnaris.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.ulnaris.app.exchange.ExchangeService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;

/**
 * Looks for the next fault: all routes are taken from the running application and all fields from its own forms; random sequences of what a
 * person could press, with odd values in one or two fields, over a small job. After each sequence every page of the job and the shop must answer
 * and the job's file must come back in. The seed and the number of sequences are given by {@code -Dulnaris.hunt.seed} and
 * {@code -Dulnaris.hunt.sequences}; {@code ./ulnaris hunt} takes many. What it finds becomes a test of its own elsewhere.
 */
@TestPropertySource(properties = "ulnaris.shop=A shop of its own: it is left in disorder")
class HuntTest extends AppTest {
    private static final int PRESSES = 30;
    private static final List<String> ODD = List.of(
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
    private RequestMappingHandlerMapping routes;

    @Autowired
    private LoadsService loads;

    @Autowired
    private ExchangeService exchange;

    private final Random random = new Random(Long.getLong("ulnaris.hunt.seed", 11));
    private final List<String> trail = new ArrayList<>();
    private Job job;

    /** A form of a page: where it goes, and what its fields hold. */
    private record Form(String action, Map<String, String> fields) {}

    @Test
    void whateverIsPressedEveryPageAnswers() {
        long sequences = Long.getLong("ulnaris.hunt.sequences", 5);
        int presses = 0;
        for (long sequence = 0; sequence < sequences; sequence++) {
            trail.clear();
            aSmallJob();
            for (int press = 0; press < PRESSES; press++) {
                int pressed = 0;
                for (int look = 0; look < 10 && pressed == 0; look++) {
                    pressed = press();
                }
                presses += pressed;
            }
            everyPageAnswers();
            theFileComesBack();
        }
        assertThat(presses).isGreaterThan((int) sequences * PRESSES / 2);
    }

    /** Every route with ids and members that are not there. */
    @Test
    void noRouteBreaksOnNothing() {
        for (RequestMappingInfo route : routes.getHandlerMethods().keySet()) {
            for (String pattern : route.getPatternValues()) {
                for (String id : List.of("987654321", "-1", "x")) {
                    String path = pattern.replaceAll("\\{[^}]*}", id);
                    for (RequestMethod method : route.getMethodsCondition().getMethods()) {
                        var request = mvc.method(HttpMethod.valueOf(method.name()))
                                .uri(path)
                                .with(csrf());
                        ODD.stream()
                                .skip(random.nextInt(ODD.size()))
                                .limit(1)
                                .forEach(odd -> request.param("tag", odd));
                        answered(method + " " + path, request.exchange());
                        if (path.startsWith("/api/") && method != RequestMethod.GET) {
                            for (String body : List.of(
                                    "", "{}", "[]", "{\"a\":" + "9".repeat(900) + "}", "\u0000", "[".repeat(5000))) {
                                answered(
                                        method + " " + path + " " + body,
                                        mvc.method(HttpMethod.valueOf(method.name()))
                                                .uri(path)
                                                .with(csrf())
                                                .contentType(MediaType.APPLICATION_JSON)
                                                .content(body)
                                                .exchange());
                            }
                        }
                    }
                }
            }
        }
    }

    private void aSmallJob() {
        job = newJob(random.nextBoolean() ? Units.METRIC : Units.US);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F1", "family", "CLASS_T", "rating", "200 A"));
        long load = loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "2 kW"));
        loads.changeCase(loads.addCase(job.id(), "Work", 2), "Work", 2, Map.of(load, State.ON));
        newCable(job, Map.of("tag", "K1", "from", "BANK.plus", "to", "F1.in"));
        newCable(job, Map.of("tag", "K2", "from", "F1.out", "to", "INV.plus"));
        newCable(job, Map.of("tag", "K3", "from", "INV.minus", "to", "BANK.minus", "polarity", "NEGATIVE"));
    }

    /** One press of a random form on a random page; 0 where the page has none. */
    private int press() {
        List<String> pages = pages();
        String page = pages.get(random.nextInt(pages.size()));
        List<Form> forms = forms(body(get(page)));
        if (forms.isEmpty()) {
            return 0;
        }
        Form form = forms.get(random.nextInt(forms.size()));
        if (form.action().matches("/jobs/\\d+/delete|/backups.*|/jobs/import")) {
            return 0;
        }
        Map<String, String> fields = new HashMap<>(form.fields());
        List<String> names = new ArrayList<>(fields.keySet());
        for (int odd = random.nextInt(3); odd > 0 && !names.isEmpty(); odd--) {
            fields.put(names.get(random.nextInt(names.size())), ODD.get(random.nextInt(ODD.size())));
        }
        String told = form.action() + " "
                + fields.entrySet().stream()
                        .filter(field -> !field.getValue().equals(form.fields().get(field.getKey())))
                        .map(field -> field.getKey() + "=" + shortened(field.getValue()))
                        .collect(Collectors.joining(" "));
        trail.add(told);
        answered(told, random.nextBoolean() ? post(form.action(), fields) : postHtmx(form.action(), fields));
        return 1;
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "… (" + text.length() + ")" : text;
    }

    private void answered(String what, MvcTestResult result) {
        assertThat(result.getUnresolvedException()).as(what + " after " + trail).isNull();
        assertThat(result.getResponse().getStatus())
                .as(what + " after " + trail)
                .isLessThan(500);
    }

    /** The pages of the job and of the shop, from the routes of the application. */
    private List<String> pages() {
        Set<String> pages = new TreeSet<>();
        for (RequestMappingInfo route : routes.getHandlerMethods().keySet()) {
            if (route.getMethodsCondition().getMethods().contains(RequestMethod.GET)) {
                route.getPatternValues().forEach(pattern -> pages.addAll(filled(pattern)));
            }
        }
        return List.copyOf(pages);
    }

    private List<String> filled(String pattern) {
        if (pattern.startsWith("/api/v1/openapi") || pattern.equals("/error") || pattern.contains("swagger")) {
            return List.of();
        }
        if (pattern.startsWith("/jobs/{id}") || pattern.startsWith("/api/v1/jobs/{id}")) {
            return List.of(pattern.replace("{id}", job.id().toString()));
        }
        if (pattern.startsWith("/cables/{id}")) {
            return cables.of(job.id()).stream()
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

    private List<Form> forms(String html) {
        Document page = Jsoup.parse(html);
        List<Form> forms = new ArrayList<>();
        for (Element form : page.select("form[method=post]")) {
            Map<String, String> fields = new LinkedHashMap<>();
            List<Element> controls =
                    new ArrayList<>(form.select("input[name],select[name],textarea[name],button[name]"));
            if (!form.id().isEmpty()) {
                controls.addAll(page.select("[form=" + form.id() + "][name]"));
            }
            controls.forEach(control -> fields.put(control.attr("name"), value(control)));
            fields.keySet().removeAll(Set.of("_csrf", "once"));
            forms.add(new Form(form.attr("action"), fields));
        }
        return forms;
    }

    private static String value(Element control) {
        if (control.tagName().equals("select")) {
            Element chosen = control.selectFirst("option[selected]");
            return (chosen == null ? control.selectFirst("option") : chosen) == null
                    ? ""
                    : (chosen == null ? control.selectFirst("option") : chosen).attr("value");
        }
        return control.tagName().equals("textarea") ? control.wholeText() : control.attr("value");
    }

    private void everyPageAnswers() {
        for (String page : pages()) {
            MvcTestResult result = get(page);
            answered(page, result);
            assertThat(result.getResponse().getStatus())
                    .as(page + " after " + trail)
                    .isNotEqualTo(422);
        }
    }

    private void theFileComesBack() {
        String json = exchange.json(job.id());
        try {
            assertThat(exchange.json(exchange.importJson(json).id()))
                    .as("after " + trail)
                    .isEqualTo(json);
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
