import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
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
 * Times pages of a job of 60 cables over loopback, warm, beside a floor of the same run: a static file of the same server.
 * Run: java PageTimes.java FOLDER_OF_THE_EXTRACTED_APPLICATION
 */
public final class PageTimes {
    private static final int WARM_UP = 400;
    private static final int RUNS = 400;
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
        double[] millis = new double[RUNS];
        for (int i = -WARM_UP; i < RUNS; i++) {
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
        return millis[RUNS / 2];
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
