package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.ulnaris.app.job.Job;

/**
 * Random sequences of what people could press: all routes are taken from the running application and all fields from its own forms, odd values
 * in one or two of them, alone, repeated, by four at once and beside readers, and tables of the job with odd cells brought back. After each sequence every page of the
 * job and the shop must answer and the job's file must come back in.
 */
class PressesHuntTest extends Hunt {
    private static final int PRESSES = 30;
    private static final int CLIENTS = 4;

    private final ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);
    private Job job;

    /** A form of a page: where it goes, and what its fields hold. */
    private record Form(String action, Map<String, String> fields) {}

    @AfterEach
    void leave() {
        clients.shutdownNow();
    }

    @Test
    void whateverIsPressedEveryPageAnswers() throws Exception {
        long sequences = sequences(3);
        int presses = 0;
        for (long sequence = 0; sequence < sequences; sequence++) {
            trail.clear();
            job = aSmallJob();
            for (int press = 0; press < PRESSES; press++) {
                int pressed = 0;
                for (int look = 0; look < 10 && pressed == 0; look++) {
                    pressed = press();
                }
                presses += pressed;
            }
            everyPageAnswers(job);
            theFileComesBack(job);
        }
        assertThat(presses).isGreaterThan((int) sequences * PRESSES / 2);
    }

    /** Every route with ids and parameters that are not there. */
    @Test
    void noRouteBreaksOnNothing() {
        for (RequestMappingInfo route : routes.getHandlerMethods().keySet()) {
            for (String pattern : route.getPatternValues()) {
                for (String id : pattern.contains("{") ? List.of("987654321", "-1", "x") : List.of("")) {
                    String path = pattern.replaceAll("\\{[^}]*}", id);
                    for (RequestMethod method : route.getMethodsCondition().getMethods()) {
                        answered(
                                method + " " + path,
                                mvc.method(HttpMethod.valueOf(method.name()))
                                        .uri(path)
                                        .with(csrf())
                                        .param("tag", any(ODD))
                                        .exchange());
                        if (path.startsWith("/api/") && method != RequestMethod.GET) {
                            for (String odd : ApiHuntTest.ODD_BODIES) {
                                answered(
                                        method + " " + path + " " + shortened(odd),
                                        mvc.method(HttpMethod.valueOf(method.name()))
                                                .uri(path)
                                                .with(csrf())
                                                .contentType(MediaType.APPLICATION_JSON)
                                                .content(odd)
                                                .exchange());
                            }
                        }
                    }
                }
            }
        }
    }

    /** Whatever its pages and tables offer, an archived job stays as it is; what they refuse says so. */
    @Test
    void anArchivedJobIsReadOnly() throws Exception {
        job = aSmallJob();
        jobs.archive(job.id(), true);
        String before = exchange.json(job.id());
        everyPageAnswers(job);
        Map<Integer, Set<String>> answers = new TreeMap<>();
        for (String page : pages(job)) {
            List<Form> forms = forms(body(get(page)));
            forms.removeIf(form -> !form.action().matches("/(jobs/" + job.id() + "|cables|equipment|cases|ends)/.*")
                    || form.action().matches(".*/\\d+/(archive|copy|delete|restore)"));
            for (Form form : forms) {
                for (String odd : List.of("3", "true", "M8", "2.5 mm²")) {
                    Map<String, String> fields = new HashMap<>(form.fields());
                    fields.keySet().stream()
                            .filter(name -> !name.equals("began"))
                            .skip(random.nextInt(Math.max(1, fields.size())))
                            .findFirst()
                            .ifPresent(name -> fields.put(name, odd));
                    String told = form.action().replaceAll("\\d+", "N");
                    MvcTestResult result = post(form.action(), fields);
                    answered(told, result);
                    answers.computeIfAbsent(result.getResponse().getStatus(), code -> new TreeSet<>())
                            .add(told);
                    assertThat(exchange.json(job.id())).as(told + " " + fields).isEqualTo(before);
                }
            }
        }
        assertThat(answers.get(423)).hasSizeGreaterThan(5);
        String cable = "/cables/" + cables.of(job.id()).get(0).id();
        String bank = "/equipment/" + loads.idsByTag(job.id()).get("BANK");
        Map<String, Map<String, String>> sound = Map.of(
                cable + "/picture", Map.of("length", "3.1 m"),
                cable + "/delete", Map.of(),
                bank + "/picture", Map.of("capacity", "333 Ah"),
                bank + "/state", Map.of("case", "1", "state", "OFF"),
                bank + "/delete", Map.of(),
                "/jobs/" + job.id() + "/pieces", Map.of("kind", "CHARGER", "tag", "CHG", "current", "20 A"),
                "/jobs/" + job.id() + "/settings", Map.of("name", "Another"));
        sound.forEach((path, fields) -> {
            assertThat(post(path, fields)).as(path).hasStatus(423).bodyText().contains("Take it out of the archive");
            assertThat(postHtmx(path, fields)).as(path).hasStatus(423);
            assertThat(exchange.json(job.id())).as(path).isEqualTo(before);
        });
        assertThat(bringTableBack()).isOne();
        assertThat(exchange.json(job.id())).isEqualTo(before);
    }

    /** One press of somebody, or of four at once, or of one beside three readers, or the same three times; 0 where the page that was looked at has no form. */
    private int press() throws Exception {
        int kind = random.nextInt(12);
        if (kind == 0) {
            return bringTableBack();
        }
        List<Form> forms = forms(body(get(any(pages(job)))));
        forms.removeIf(form -> form.action().matches("/jobs/\\d+/delete|/backups.*|/jobs/import"));
        if (forms.isEmpty()) {
            return 0;
        }
        if (kind > 4) {
            press(any(forms)).call();
            return 1;
        }
        Form same = any(forms);
        List<Callable<Void>> presses = new ArrayList<>();
        for (int client = 0; client < CLIENTS; client++) {
            boolean reads = kind > 2 && client > 0;
            presses.add(reads ? read(any(pages(job))) : press(kind == 1 ? same : any(forms)));
        }
        if (kind == 4) {
            Callable<Void> again = presses.get(0);
            again.call();
            again.call();
        }
        for (Future<Void> done : clients.invokeAll(presses)) {
            done.get();
        }
        return 1;
    }

    private Callable<Void> read(String page) {
        trail.add("read " + page);
        return () -> {
            answered(page, get(page));
            return null;
        };
    }

    private Callable<Void> press(Form form) {
        Map<String, String> fields = new HashMap<>(form.fields());
        List<String> names = new ArrayList<>(fields.keySet());
        for (int odd = random.nextInt(3); odd > 0 && !names.isEmpty(); odd--) {
            fields.put(any(names), any(ODD));
        }
        String told = form.action() + " "
                + fields.entrySet().stream()
                        .filter(field -> !field.getValue().equals(form.fields().get(field.getKey())))
                        .map(field -> field.getKey() + "=" + shortened(field.getValue()))
                        .collect(Collectors.joining(" "));
        trail.add(told);
        boolean htmx = random.nextBoolean();
        return () -> {
            answered(told, htmx ? postHtmx(form.action(), fields) : post(form.action(), fields));
            return null;
        };
    }

    /** The table of the job with one odd cell. */
    private int bringTableBack() {
        String[] lines =
                get("/jobs/" + job.id() + "/pack/cables.csv").getResponse().getStatus() == 200
                        ? exchange.csv(job.id()).split("\r?\n")
                        : new String[0];
        if (lines.length < 2) {
            return 0;
        }
        int at = 1 + random.nextInt(lines.length - 1);
        String[] cells = lines[at].split(",", -1);
        int cell = random.nextInt(cells.length);
        String odd = any(ODD);
        cells[cell] = odd.matches("[^,\"\n]*") ? odd : '"' + odd.replace("\"", "\"\"") + '"';
        lines[at] = String.join(",", cells);
        String told = "import cell " + cell + "=" + shortened(odd);
        trail.add(told);
        answered(told, post("/jobs/" + job.id() + "/import/accept", Map.of("text", String.join("\n", lines))));
        return 1;
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
            Element shown = chosen == null ? control.selectFirst("option") : chosen;
            return shown == null ? "" : shown.attr("value");
        }
        return control.tagName().equals("textarea") ? control.wholeText() : control.attr("value");
    }
}
