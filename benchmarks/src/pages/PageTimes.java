import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Times pages of a job of 60 cables over loopback, warm, and of jobs of 300 and 1,000, beside a floor of the same run: a static file of the
 * same server.
 * Run: java PageTimes.java FOLDER_OF_THE_EXTRACTED_APPLICATION
 */
public final class PageTimes {
    private static final int WARM_UP = 400;
    private static final int RUNS = 400;
    /** Of pages that take long. */
    private static final int FEW = 20;
    private static final int MOST_PIECES = 500;
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    private final int port;

    private PageTimes(int port) {
        this.port = port;
    }

    public static void main(String[] args) throws Exception {
        Path app = Path.of(args[0]);
        Path data = Files.createTempDirectory("ulnaris-pages");
        int port = 20_000 + new Random().nextInt(20_000);
        long begun = System.nanoTime();
        List<String> command = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx512m"));
        if (Files.exists(app.resolve("ulnaris.jsa"))) {
            command.addAll(List.of(
                    "-XX:SharedArchiveFile=" + app.resolve("ulnaris.jsa"), "-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
        }
        command.addAll(List.of(
                "-jar", app.resolve("ulnaris.jar").toString(), "--ulnaris.data=" + data, "--server.port=" + port));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            new PageTimes(port).run(begun);
        } finally {
            process.destroyForcibly().waitFor();
        }
    }

    private void run(long begun) throws Exception {
        HttpResponse<String> home = awaitHome();
        System.out.printf(Locale.ROOT, "start to first page, empty shop: %.1f s%n", (System.nanoTime() - begun) / 1e9);
        String cookie = HttpCookie.parse(home.headers().firstValue("Set-Cookie").orElseThrow()).get(0).toString();
        String token = token(home.body());
        String job = post("/jobs", "name=Sixty&voltage=24&charging=&_csrf=" + token, cookie, false).headers().firstValue("Location").orElseThrow();
        String jobPath = job.replaceAll("^https?://[^/]+", "").replace("/plan", "");
        String cable = "";
        for (int i = 1; i <= 60; i++) {
            String body = "tag=C" + i + "&current=" + (10 + 3 * i) + "&length=" + (1 + i / 10.0) + "&_csrf=" + token;
            cable = post(jobPath + "/cables", body, cookie, false).headers().firstValue("Location").orElseThrow();
        }
        String cablePath = cable.replaceAll("^https?://[^/]+", "");
        post("/crib/standard-set", "_csrf=" + token, cookie, false);
        double floor = time("floor: a static file", () -> get("/js/theme.js").statusCode(), 1);
        time("cable page of a 60-cable job", () -> get(cablePath).statusCode(), floor);
        time("match page", () -> get(cablePath.replace("/plan", "/match")).statusCode(), floor);
        time("bench step", () -> get(cablePath.replace("/plan", "/bench/cut")).statusCode(), floor);
        time("plan of 60 cables", () -> get(jobPath + "/plan").statusCode(), floor);
        int[] count = {0};
        time(
                "recalculation fragment",
                () -> {
                    get(cablePath);
                    long from = System.nanoTime();
                    int status = post(
                                    cablePath,
                                    "current=" + (50 + count[0]++ % 100) + "&_csrf=" + token,
                                    cookie,
                                    true)
                            .statusCode();
                    FRAGMENT.add((System.nanoTime() - from) / 1e6);
                    return status;
                },
                floor);
        double[] fragment = FRAGMENT.subList(WARM_UP, FRAGMENT.size()).stream().mapToDouble(Double::doubleValue).sorted().toArray();
        print("recalculation fragment alone", fragment, floor);
        large(300, cookie, token, floor);
        large(1000, cookie, token, floor);
    }

    /** A bank, bars in a tree and what hangs on them behind fuses: list and picture of {@code cables}, and both after an edit. */
    private void large(int cables, String cookie, String token, double floor) throws Exception {
        String name = " of " + cables + " cables";
        String path = post("/jobs", "name=Large&kind=OFF_GRID&voltage=24&charging=&_csrf=" + token, cookie, false)
                .headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]+", "");
        List<String> pieces = new ArrayList<>(List.of("kind=BANK&tag=BANK&capacity=800+Ah", "kind=FUSE&tag=MAIN&family=CLASS_T&rating=400+A"));
        StringBuilder table = new StringBuilder("tag,from,to,current,length,polarity\nBM,BANK.plus,MAIN.in,,1 m,POSITIVE\n"
                + "MP,MAIN.out,P0.bar,,1 m,POSITIVE\nBN,BANK.minus,N0.bar,,1 m,NEGATIVE\n");
        int drawn = 3;
        int bars = cables / 50;
        for (int bar = 0; bar < bars; bar++) {
            pieces.add("kind=BUS_BAR&tag=P" + bar);
            pieces.add("kind=BUS_BAR&tag=N" + bar);
            if (bar > 0) {
                int from = (bar - 1) / 3;
                table.append(String.format(Locale.ROOT, "PP%d,P%d.bar,P%d.bar,,1 m,POSITIVE%n", bar, from, bar));
                table.append(String.format(Locale.ROOT, "NN%d,N%d.bar,N%d.bar,,1 m,NEGATIVE%n", bar, from, bar));
                drawn += 2;
            }
        }
        for (int load = 0; drawn + 3 <= cables; load++) {
            int bar = load % bars;
            boolean fused = pieces.size() + 2 <= MOST_PIECES - (cables - drawn) / 3;
            String fed = "F" + load + ".out";
            if (fused) {
                pieces.add("kind=FUSE&tag=F" + load + "&family=CLASS_T&rating=60+A");
            } else {
                fed = "F" + load % 100 + ".out";
            }
            pieces.add("kind=HEATER&tag=L" + load + "&power=40+W");
            table.append(String.format(Locale.ROOT, "A%d,P%d.bar,F%s.in,,1 m,POSITIVE%n", load, bar, fed.substring(1, fed.length() - 4)));
            table.append(String.format(Locale.ROOT, "B%d,%s,L%d.plus,,3 m,POSITIVE%n", load, fed, load));
            table.append(String.format(Locale.ROOT, "C%d,L%d.minus,N%d.bar,,3 m,NEGATIVE%n", load, load, bar));
            drawn += 3;
        }
        for (String piece : pieces) {
            expect(302, post(path + "/equipment", piece + "&_csrf=" + token, cookie, false));
        }
        String text = URLEncoder.encode(table.toString().replace("\r", ""), StandardCharsets.UTF_8);
        expect(302, post(path + "/import/accept", "text=" + text + "&_csrf=" + token, cookie, false));
        expect(302, post(path + "/cases", "caseName=All&hours=2&_csrf=" + token, cookie, false));
        String loads = get(path + "/loads").body();
        StringBuilder states = new StringBuilder();
        Pattern.compile("name=\"(state-?\\d+)\"").matcher(loads).results().map(state -> state.group(1)).distinct()
                .forEach(state -> states.append(state).append("=ON&"));
        expect(302, post(find("(/cases/\\d+)\"", loads), states + "caseName=All&hours=2&_csrf=" + token, cookie, false));
        String list = get(path + "/plan").body();
        if (!list.contains("case-note\">All<")) {
            throw new IllegalStateException("no cable of " + name + " carries anything");
        }
        String row = find("(/cables/\\d+)/plan\">B0<", list);
        time("list" + name + ", a page", FEW, () -> get(path + "/plan").statusCode(), floor);
        time("picture" + name + ", first", 1, () -> get(path).statusCode(), floor);
        time("picture" + name + ", again", FEW, () -> get(path).statusCode(), floor);
        int[] length = {3};
        int edits = cables > 300 ? 2 : FEW;
        time("an edit in the list" + name, edits, () -> {
            String edit = "length=" + ++length[0] + "+m&_csrf=" + token;
            return expect(200, post(row + "/row", edit, cookie, true));
        }, floor);
        time("an edit beside the picture" + name, edits, () -> {
            String edit = "length=" + ++length[0] + "+m&_csrf=" + token;
            return expect(200, post(row + "/picture", edit, cookie, true));
        }, floor);
        time("the page of all jobs", FEW, () -> get("/jobs").statusCode(), floor);
    }

    private static int expect(int status, HttpResponse<String> answer) {
        if (answer.statusCode() != status) {
            throw new IllegalStateException(answer.uri() + " answered " + answer.statusCode());
        }
        return status;
    }

    private static final List<Double> FRAGMENT = new ArrayList<>();

    private HttpResponse<String> awaitHome() throws Exception {
        for (int i = 0; i < 1200; i++) {
            try {
                return get("/jobs");
            } catch (java.io.IOException e) {
                Thread.sleep(50);
            }
        }
        throw new IllegalStateException("did not answer within a minute");
    }

    private static double time(String what, Callable<Integer> call, double floor) throws Exception {
        return time(what, RUNS, call, floor);
    }

    /** Warm where it is called often; once is the first time. */
    private static double time(String what, int runs, Callable<Integer> call, double floor) throws Exception {
        double[] millis = new double[runs];
        for (int i = runs == RUNS ? -WARM_UP : 0; i < runs; i++) {
            long from = System.nanoTime();
            int status = call.call();
            if (status != 200) {
                throw new IllegalStateException(what + " answered " + status);
            }
            if (i >= 0) {
                millis[i] = (System.nanoTime() - from) / 1e6;
            }
        }
        Arrays.sort(millis);
        print(what, millis, floor);
        return millis[runs / 2];
    }

    private static void print(String what, double[] sorted, double floor) {
        System.out.printf(
                Locale.ROOT,
                "%s: median %.1f ms, p95 %.1f ms, ratio to the floor's median %.0f%n",
                what,
                sorted[sorted.length / 2],
                sorted[(int) (sorted.length * 0.95)],
                sorted[sorted.length / 2] / floor);
    }

    private static String token(String page) {
        return find("name=\"_csrf\" value=\"([^\"]+)\"", page);
    }

    private static String find(String pattern, String page) {
        Matcher matcher = Pattern.compile(pattern).matcher(page);
        if (!matcher.find()) {
            throw new IllegalStateException("no " + pattern);
        }
        return matcher.group(1);
    }

    private HttpResponse<String> get(String path) throws Exception {
        return CLIENT.send(HttpRequest.newBuilder(at(path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    private URI at(String path) {
        return URI.create("http://localhost:" + port + path);
    }

    private HttpResponse<String> post(String path, String body, String cookie, boolean htmx) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(at(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Cookie", cookie)
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (htmx) {
            request.header("HX-Request", "true");
        }
        return CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
}
