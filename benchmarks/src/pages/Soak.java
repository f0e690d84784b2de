import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many people at work at once: pages, edits, readings and prints, each person in a job of their own and in one that all share. At the end every
 * accepted edit and reading is looked for; the heap after a full collection is read once a minute. Of a thousand presses
 * 450 are pages, 300 edits, 245 readings and 5 prints, up to two seconds apart. Two more add cables to the job that all share and delete them,
 * beside three who read its pages.
 * Run: java Soak.java FOLDER_OF_THE_EXTRACTED_APPLICATION [MINUTES] [PEOPLE]
 */
public final class Soak {
    private static final int CABLES = 10;
    private static final int EDITORS = 2;
    private static final int READERS = 3;
    /** A person looks at an answer for up to so long, ms. */
    private static final int LONGEST_LOOK_MS = 2000;
    /** Caches fill and code is compiled until then. */
    private static final int WARM_MINUTES = 3;

    /** So long after its answer a thread lets go of what it made. */
    private static final int AT_REST_MS = 2000;

    private static final double FLAT_WITHIN = 1.10;
    private static final HttpClient CLIENT =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(30)).build();

    private final int port = 20_000 + new Random().nextInt(20_000);
    private final Map<String, ConcurrentLinkedQueue<Double>> millis = new ConcurrentHashMap<>();
    private final ReadWriteLock pressing = new ReentrantReadWriteLock(true);
    private final ConcurrentLinkedQueue<String> faults = new ConcurrentLinkedQueue<>();
    private String shared = "";

    /** Somebody at work: a session, a job with its cables, and what was accepted of it. */
    private static final class Person {
        private final Random random;
        private String cookie = "";
        private String token = "";
        private String job = "";
        private List<String> cables = List.of();
        private String shared = "";
        private final Map<String, String> lengths = new LinkedHashMap<>();
        private final Map<String, Integer> readings = new LinkedHashMap<>();

        private Person(int number) {
            this.random = new Random(number);
        }
    }

    public static void main(String[] args) throws Exception {
        int minutes = args.length > 1 ? Integer.parseInt(args[1]) : 10;
        int people = args.length > 2 ? Integer.parseInt(args[2]) : 50;
        Path app = Path.of(args[0]);
        Path data = Files.createTempDirectory("ulnaris-soak");
        Path log = Files.createTempFile("ulnaris-soak", ".log");
        Soak soak = new Soak();
        List<String> command = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx512m"));
        // Three of four full collections leave dead objects where they lie and count them as arrays: this one always takes them away.
        command.add("-XX:MarkSweepAlwaysCompactCount=1");
        // What only soft references hold is given up when room is needed: it does not live.
        command.add("-XX:SoftRefLRUPolicyMSPerMB=0");
        if (Files.exists(app.resolve("ulnaris.jsa"))) {
            command.addAll(List.of(
                    "-XX:SharedArchiveFile=" + app.resolve("ulnaris.jsa"), "-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
        }
        command.addAll(List.of(
                "-jar",
                app.resolve("ulnaris.jar").toString(),
                "--ulnaris.data=" + data,
                "--server.port=" + soak.port));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        boolean passed;
        try {
            passed = soak.run(process, minutes, people);
        } finally {
            process.destroyForcibly().waitFor();
        }
        System.out.println("lines of log: " + Files.readAllLines(log).size());
        System.exit(passed ? 0 : 1);
    }

    private boolean run(Process process, int minutes, int people) throws Exception {
        List<Person> all = people(people);
        System.out.println("soak: " + people + " people, " + minutes + " minutes, jobs of " + CABLES + " cables");
        ExecutorService threads = Executors.newFixedThreadPool(people + EDITORS + READERS);
        long end = System.nanoTime() + Duration.ofMinutes(minutes).toNanos();
        List<Future<?>> working = new ArrayList<>();
        all.forEach(person -> working.add(threads.submit(() -> work(() -> press(person), person.random, end))));
        for (int i = 1; i <= EDITORS + READERS; i++) {
            Person person = enter(people + i);
            boolean edits = i <= EDITORS;
            working.add(threads.submit(() -> work(() -> atOneJob(person, edits), person.random, end)));
        }
        List<Double> heap = new ArrayList<>();
        for (int minute = 1; minute <= minutes; minute++) {
            Thread.sleep(60_000);
            heap.add(liveMegabytes(process));
            System.out.printf(Locale.ROOT, "minute %d: %.1f MB live after a full collection%n", minute, heap.get(minute - 1));
        }
        for (Future<?> one : working) {
            one.get();
        }
        threads.shutdown();
        print(minutes);
        int lost = lost(all);
        List<Double> warm = heap.subList(Math.min(WARM_MINUTES - 1, heap.size() - 1), heap.size());
        double ratio = Collections.max(warm) / Collections.min(warm);
        System.out.printf(
                Locale.ROOT, "live heap from minute %d on, greatest to least: %.2f (bound %.2f)%n", WARM_MINUTES, ratio, FLAT_WITHIN);
        faults.stream().distinct().limit(20).forEach(fault -> System.out.println("fault: " + fault));
        System.out.println("lost: " + lost + ", faults: " + faults.size());
        boolean passed = lost == 0 && faults.isEmpty() && ratio <= FLAT_WITHIN;
        System.out.println(passed ? "1 passed, 0 failed" : "0 passed, 1 failed");
        return passed;
    }

    private List<Person> people(int count) throws Exception {
        List<Person> all = new ArrayList<>();
        Person host = enter(0);
        newJob(host, "Shared", count);
        shared = host.job;
        for (int i = 1; i <= count; i++) {
            Person person = enter(i);
            newJob(person, "Job " + i, CABLES);
            person.shared = host.cables.get(i - 1);
            all.add(person);
        }
        return all;
    }

    private Person enter(int number) throws Exception {
        Person person = new Person(number);
        HttpResponse<String> home = home();
        person.cookie = HttpCookie.parse(home.headers().firstValue("Set-Cookie").orElseThrow()).get(0).toString();
        person.token = find("name=\"_csrf\" value=\"([^\"]+)\"", home.body()).get(0);
        return person;
    }

    private HttpResponse<String> home() throws Exception {
        for (int i = 0; i < 600; i++) {
            try {
                return CLIENT.send(HttpRequest.newBuilder(at("/jobs")).build(), HttpResponse.BodyHandlers.ofString());
            } catch (java.io.IOException e) {
                Thread.sleep(100);
            }
        }
        throw new IllegalStateException("did not answer within a minute");
    }

    private void newJob(Person person, String name, int cables) throws Exception {
        String at = post(person, "/jobs", "name=" + name.replace(' ', '+') + "&voltage=24&charging=", false)
                .headers()
                .firstValue("Location")
                .orElseThrow();
        person.job = find("(/jobs/\\d+)", at).get(0);
        StringBuilder rows = new StringBuilder("tag,from,to,current,length\n");
        for (int i = 1; i <= cables; i++) {
            rows.append("C").append(i).append(",bar,load ").append(i).append(",").append(10 + 7 * i).append(",1\n");
        }
        post(person, person.job + "/import/accept", "text=" + URLEncoder.encode(rows.toString(), StandardCharsets.UTF_8), false);
        person.cables = find("id=\"row-(\\d+)\"", get(person, person.job + "/plan")).stream().map(id -> "/cables/" + id).toList();
        if (person.cables.size() != cables) {
            throw new IllegalStateException(person.cables.size() + " cables of " + cables);
        }
        for (String cable : person.cables) {
            post(person, cable + "/bench/check", "", false);
        }
    }

    private interface Press {
        void now() throws Exception;
    }

    /** Presses until {@code end}, with looks in between. */
    private void work(Press press, Random random, long end) {
        while (System.nanoTime() < end) {
            try {
                pressing.readLock().lock();
                try {
                    press.now();
                } finally {
                    pressing.readLock().unlock();
                }
                Thread.sleep(random.nextInt(LONGEST_LOOK_MS));
            } catch (Exception e) {
                faults.add(e.toString());
            }
        }
    }

    /** Reads a page of the job that all share; who edits adds a cable to it and deletes that. */
    private void atOneJob(Person person, boolean edits) throws Exception {
        if (!edits) {
            List<String> pages = List.of("", "/plan", "/findings", "/match", "/make", "/prove", "/pack", "/loads");
            String page = shared + pages.get(person.random.nextInt(pages.size()));
            timed("page of the shared job", 200, () -> send(request(person, page).build()));
            return;
        }
        String tag = "T" + person.random.nextInt(1_000_000);
        List<String> made = new ArrayList<>();
        timed("cable added", 302, () -> {
            HttpResponse<String> answer = post(person, shared + "/cables", "tag=" + tag + "&current=20+A&length=2+m", false);
            answer.headers().firstValue("Location").ifPresent(made::add);
            return answer;
        });
        for (String cable : made) {
            String path = find("(/cables/\\d+)", cable).get(0);
            timed("cable deleted", 302, () -> post(person, path + "/delete", "", false));
        }
    }

    private void press(Person person) throws Exception {
        int what = person.random.nextInt(1000);
        String cable = person.cables.get(person.random.nextInt(CABLES));
        if (what < 450) {
            List<String> pages = List.of("/", "/?ask=180+A+2.4+m+24+V", "/stock", "/crib", person.job + "/plan", person.job + "/layout", person.job + "/make",
                    cable + "/plan", cable + "/match", cable + "/prove", cable + "/bench/cut");
            String page = pages.get(person.random.nextInt(pages.size()));
            timed("page", 200, () -> send(request(person, page).build()));
        } else if (what < 750) {
            String edited = what < 700 ? cable : person.shared;
            String length = String.format(Locale.ROOT, "%.2f", 0.5 + person.random.nextInt(400) / 100.0);
            if (timed("edit", 200, () -> post(person, edited + "/row", "length=" + length, true))) {
                person.lengths.put(edited, length);
            }
        } else if (what < 995) {
            if (timed("reading", 302, () -> post(person, cable + "/bench/cut", "CUT_LENGTH=1+m", false))) {
                person.readings.merge(cable, 1, Integer::sum);
            }
        } else {
            String print = what < 999 ? cable + "/pack/sheet.pdf" : person.job + "/pack/sheet.pdf";
            timed("print", 200, () -> send(request(person, print).build()));
        }
    }

    private interface Call {
        HttpResponse<String> now() throws Exception;
    }

    private boolean timed(String kind, int expected, Call call) throws Exception {
        long from = System.nanoTime();
        HttpResponse<String> answer = call.now();
        millis.computeIfAbsent(kind, one -> new ConcurrentLinkedQueue<>()).add((System.nanoTime() - from) / 1e6);
        if (answer.statusCode() != expected) {
            faults.add(answer.request().method() + " " + answer.request().uri().getPath() + ": " + answer.statusCode());
            return false;
        }
        return true;
    }

    private void print(int minutes) {
        new TreeMap<>(millis).forEach((kind, taken) -> {
            double[] sorted = taken.stream().mapToDouble(Double::doubleValue).sorted().toArray();
            System.out.printf(
                    Locale.ROOT,
                    "%s: %d (%.1f a second), median %.0f ms, p99 %.0f ms, longest %.0f ms%n",
                    kind,
                    sorted.length,
                    sorted.length / 60.0 / minutes,
                    sorted[sorted.length / 2],
                    sorted[(int) (sorted.length * 0.99)],
                    sorted[sorted.length - 1]);
        });
    }

    /** Accepted lengths and readings that are not there. */
    private int lost(List<Person> all) throws Exception {
        int lost = 0;
        int looked = 0;
        for (Person person : all) {
            for (Map.Entry<String, String> kept : person.lengths.entrySet()) {
                String value = find("name=\"length\"[^>]*value=\"([0-9.]+)", get(person, kept.getKey() + "/plan")).get(0);
                lost += Double.parseDouble(value) == Double.parseDouble(kept.getValue()) ? 0 : 1;
                looked++;
            }
            for (Map.Entry<String, Integer> taken : person.readings.entrySet()) {
                int there = find("(id=\"reading-\\d+\")", get(person, taken.getKey() + "/prove")).size();
                lost += Math.abs(there - taken.getValue());
                looked += taken.getValue();
            }
        }
        System.out.println("looked for " + looked + " edits in force and readings");
        return lost;
    }

    /** All that lives after a full collection, MB, when all answers are given and their threads at rest: a page in the making is no leak. */
    private double liveMegabytes(Process process) throws Exception {
        pressing.writeLock().lock();
        try {
            Thread.sleep(AT_REST_MS);
            // What waits to be finalised outlives one collection with all that it leads to.
            jcmd(process, "GC.run");
            jcmd(process, "GC.run_finalization");
            String told = jcmd(process, "GC.class_histogram");
            return Long.parseLong(find("Total\\s+\\d+\\s+(\\d+)", told).get(0)) / 1e6;
        } finally {
            pressing.writeLock().unlock();
        }
    }

    private static String jcmd(Process process, String command) throws Exception {
        Process tool = new ProcessBuilder("jcmd", String.valueOf(process.pid()), command)
                .redirectErrorStream(true)
                .start();
        String told = new String(tool.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        tool.waitFor();
        return told;
    }

    private static List<String> find(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        List<String> found = new ArrayList<>();
        while (matcher.find()) {
            found.add(matcher.group(1));
        }
        return found;
    }

    private URI at(String path) {
        return URI.create("http://localhost:" + port + path);
    }

    private HttpRequest.Builder request(Person person, String path) {
        return HttpRequest.newBuilder(at(path)).header("Cookie", person.cookie).timeout(Duration.ofMinutes(1));
    }

    private HttpResponse<String> send(HttpRequest request) throws Exception {
        return CLIENT.send(request, HttpResponse.BodyHandlers.ofString());
    }

    private String get(Person person, String path) throws Exception {
        return send(request(person, path).build()).body();
    }

    private HttpResponse<String> post(Person person, String path, String body, boolean htmx) throws Exception {
        HttpRequest.Builder request = request(person, path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + person.token + "&" + body));
        if (htmx) {
            request.header("HX-Request", "true");
        }
        return send(request.build());
    }
}
