import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Takes the room away from the running application (its files may not grow: prlimit of util-linux), saves, reads, gives the room back and
 * saves again. Nothing accepted may be lost, pages must go on, no restart may be needed. Run: java DiskFull.java FOLDER_OF_THE_EXTRACTED_APP
 */
public final class DiskFull {
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final int port = 20_000 + new Random().nextInt(20_000);
    private String cookie = "";
    private String token = "";

    public static void main(String[] args) throws Exception {
        Path data = Files.createTempDirectory("ulnaris-full");
        Path log = Files.createTempFile("ulnaris-full", ".log");
        DiskFull full = new DiskFull();
        Process process = new ProcessBuilder(
                        "java",
                        "-XX:TieredStopAtLevel=1",
                        "-jar",
                        Path.of(args[0]).resolve("ulnaris.jar").toString(),
                        "--ulnaris.data=" + data,
                        "--server.port=" + full.port)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        List<String> faults = full.run(process, data);
        process.destroy();
        process.waitFor();
        long lines = Files.readAllLines(log).size();
        if (lines > 20) {
            faults.add(lines + " lines of log");
        }
        faults.forEach(fault -> System.out.println("disk full: " + fault));
        System.out.println(faults.isEmpty() ? "1 passed, 0 failed" : "0 passed, 1 failed");
        System.exit(faults.isEmpty() ? 0 : 1);
    }

    private List<String> run(Process process, Path data) throws Exception {
        List<String> faults = new ArrayList<>();
        while (true) {
            try {
                HttpResponse<String> page = get("/jobs");
                cookie = HttpCookie.parse(page.headers().firstValue("Set-Cookie").orElseThrow()).get(0).toString();
                Matcher found = TOKEN.matcher(page.body());
                found.find();
                token = found.group(1);
                break;
            } catch (java.io.IOException e) {
                Thread.sleep(100);
            }
        }
        int kept = save(20, "before", faults, 302);
        limit(process, Files.size(data.resolve("ulnaris.mv.db")));
        int refused = 0;
        int unread = 0;
        for (int i = 0; i < 60; i++) {
            int status = post("/jobs", "name=full+" + i + "x".repeat(60) + "&kind=MOBILE&voltage=24&charging=&ruleSet=");
            if (status == 302) {
                kept++;
            } else if (status == 507) {
                refused++;
            } else {
                faults.add("a save on the full disk was answered " + status);
            }
            int read = get("/").statusCode();
            if (read == 507) {
                unread++;
            } else if (read != 200) {
                faults.add("a page on the full disk was answered " + read);
            }
        }
        System.out.println("disk full: " + refused + " of 60 saves refused, " + (60 - unread) + " of 60 pages read");
        if (unread > 5) {
            faults.add(unread + " pages could not be read");
        }
        if (refused == 0) {
            faults.add("the disk was never full");
        }
        limit(process, -1);
        kept += save(20, "after", faults, 302);
        Matcher jobs = Pattern.compile("class=\"job-name\"").matcher(get("/jobs").body());
        int shown = 0;
        while (jobs.find()) {
            shown++;
        }
        if (shown != kept) {
            faults.add(kept + " jobs were accepted, " + shown + " are there");
        }
        return faults;
    }

    private int save(int times, String name, List<String> faults, int expected) throws Exception {
        int kept = 0;
        for (int i = 0; i < times; i++) {
            int status = post("/jobs", "name=" + name + "+" + i + "&kind=MOBILE&voltage=24&charging=&ruleSet=");
            if (status == expected) {
                kept++;
            } else {
                faults.add("a save " + name + " the full disk was answered " + status);
            }
        }
        return kept;
    }

    private static void limit(Process process, long bytes) throws Exception {
        String soft = bytes < 0 ? "unlimited" : Long.toString(bytes);
        new ProcessBuilder("prlimit", "--pid", Long.toString(process.pid()), "--fsize=" + soft + ":unlimited")
                .inheritIO()
                .start()
                .waitFor();
    }

    private HttpResponse<String> get(String path) throws Exception {
        return CLIENT.send(
                HttpRequest.newBuilder(URI.create("http://localhost:" + port + path)).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private int post(String path, String form) throws Exception {
        return CLIENT.send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .header("Cookie", cookie)
                                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + token + "&" + form))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}
