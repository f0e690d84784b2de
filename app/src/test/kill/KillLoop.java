import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Kills the running application in the midst of writes, again and again, and counts accepted readings afterwards: none may
 * be lost. Run: java KillLoop.java FOLDER_OF_THE_EXTRACTED_APPLICATION [ROUNDS]
 */
public final class KillLoop {
    private static final HttpClient CLIENT = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final Path app;
    private final Path data;
    private final int port;

    private KillLoop(Path app, Path data, int port) {
        this.app = app;
        this.data = data;
        this.port = port;
    }

    public static void main(String[] args) throws Exception {
        int rounds = args.length > 1 ? Integer.parseInt(args[1]) : 20;
        Path data = Files.createTempDirectory("ulnaris-kill");
        KillLoop loop = new KillLoop(Path.of(args[0]), data, 20_000 + new Random().nextInt(20_000));
        Random random = new Random(11);
        int accepted = 0;
        int lost = 0;
        for (int round = 1; round <= rounds; round++) {
            Process process = loop.start();
            int kept = loop.countReadings();
            lost += Math.max(0, accepted - kept);
            accepted = Math.max(accepted, kept) + loop.writeUntilKilled(process, 400 + random.nextInt(900));
        }
        Process last = loop.start();
        int kept = loop.countReadings();
        lost += Math.max(0, accepted - kept);
        last.destroyForcibly().waitFor();
        System.out.println("kill -9: " + rounds + " rounds, " + accepted + " readings accepted, " + kept + " kept, " + lost
                + " lost");
        if (lost > 0 || accepted < rounds) {
            System.out.println("0 passed, 1 failed");
            System.exit(1);
        }
        System.out.println("1 passed, 0 failed");
    }

    private Process start() throws Exception {
        List<String> command = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
        Path archive = app.resolve("ulnaris.jsa");
        if (Files.exists(archive)) {
            command.addAll(List.of("-XX:SharedArchiveFile=" + archive, "-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
        }
        command.addAll(List.of(
                "-jar",
                app.resolve("ulnaris.jar").toString(),
                "--ulnaris.demo=true",
                "--ulnaris.data=" + data,
                "--server.port=" + port));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(data.resolve("log.txt").toFile())
                .start();
        for (int i = 0; i < 600; i++) {
            try {
                if (get("/").statusCode() == 200) {
                    return process;
                }
            } catch (java.io.IOException e) {
                if (!process.isAlive()) {
                    throw new IllegalStateException("did not start:\n" + Files.readString(data.resolve("log.txt")));
                }
            }
            Thread.sleep(100);
        }
        throw new IllegalStateException("did not answer within a minute");
    }

    private URI at(String path) {
        return URI.create("http://localhost:" + port + path);
    }

    private HttpResponse<String> get(String path) throws Exception {
        return CLIENT.send(HttpRequest.newBuilder(at(path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** Rows of the record of cable 1, superseded ones included. */
    private int countReadings() throws Exception {
        Matcher rows = Pattern.compile("id=\"reading-\\d+\"").matcher(get("/cables/1/prove").body());
        int count = 0;
        while (rows.find()) {
            count++;
        }
        return count;
    }

    /** Sends readings until the process is killed; how many were accepted. */
    private int writeUntilKilled(Process process, int millis) throws Exception {
        HttpResponse<String> page = get("/cables/1/bench/cut");
        String cookie = HttpCookie.parse(page.headers().firstValue("Set-Cookie").orElseThrow()).get(0).toString();
        Matcher token = TOKEN.matcher(page.body());
        if (!token.find()) {
            throw new IllegalStateException("no token on the bench");
        }
        post("/cables/1/bench/check", "_csrf=" + token.group(1), cookie);
        Thread killer = new Thread(() -> {
            try {
                Thread.sleep(millis);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            process.destroyForcibly();
        });
        int accepted = 0;
        try {
            while (true) {
                int status = post("/cables/1/bench/cut", "_csrf=" + token.group(1) + "&CUT_LENGTH=1+m", cookie);
                if (status != 302) {
                    throw new IllegalStateException("refused with " + status);
                }
                // The clock runs from the first that was accepted: a slow machine is killed in the midst of writes, too.
                if (accepted++ == 0) {
                    killer.start();
                }
            }
        } catch (java.io.IOException e) {
            killer.join();
            process.waitFor();
            return accepted;
        }
    }

    private int post(String path, String body, String cookie) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(at(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Cookie", cookie)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        return CLIENT.send(request, HttpResponse.BodyHandlers.ofString()).statusCode();
    }
}
