import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;

/**
 * Kills restores at any moment: what is left is the whole shop, or a folder that says so and into which a second restore goes. Run: java
 * RestoreKill.java FOLDER_OF_THE_EXTRACTED_APPLICATION [ROUNDS]
 */
public final class RestoreKill {
    private static final Pattern SUM = Pattern.compile("\"sha256\"\\s*:\\s*\"([0-9a-f]{64})\"");

    private final Path app;
    private final Path scratch;

    private RestoreKill(Path app, Path scratch) {
        this.app = app;
        this.scratch = scratch;
    }

    public static void main(String[] args) throws Exception {
        int rounds = args.length > 1 ? Integer.parseInt(args[1]) : 20;
        RestoreKill kill = new RestoreKill(Path.of(args[0]), Files.createTempDirectory("ulnaris-restore"));
        Path backup = kill.demoBackup();
        String sum = sum(backup);
        long begun = System.nanoTime();
        kill.end(kill.run("restore", backup.toString(), kill.folder("whole")), "");
        long wholeMs = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        Random random = new Random(5);
        int cut = 0;
        int told = 0;
        int whole = 0;
        for (int round = 1; round <= rounds; round++) {
            String folder = kill.folder("r" + round);
            Process process = kill.run("restore", backup.toString(), folder);
            process.waitFor(random.nextLong(wholeMs + wholeMs / 4), TimeUnit.MILLISECONDS);
            process.destroyForcibly().waitFor();
            boolean there = Files.exists(Path.of(folder, "ulnaris.mv.db"));
            boolean marked = Files.exists(Path.of(folder, "ulnaris.restoring"));
            cut += there ? 0 : 1;
            if (!there && marked) {
                kill.end(kill.run("--ulnaris.data=" + folder, "--server.port=0"), "cut short");
                told++;
            }
            if (!there) {
                kill.end(kill.run("restore", backup.toString(), folder), "");
            }
            Path again = kill.scratch.resolve("again.zip");
            kill.end(kill.run("backup", again.toString(), folder), "");
            whole += sum(again).equals(sum) ? 1 : 0;
        }
        System.out.println("kill -9 in restore: " + rounds + " rounds, " + cut + " before the shop was there, " + told
                + " of them marked and told by the start, " + whole + " whole in the end");
        boolean passed = whole == rounds && told > 0;
        System.out.println(passed ? "1 passed, 0 failed" : "0 passed, 1 failed");
        System.exit(passed ? 0 : 1);
    }

    private String folder(String name) throws Exception {
        return Files.createDirectories(scratch.resolve(name)).toString();
    }

    private Process run(String... arguments) throws Exception {
        List<String> command = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
        Path archive = app.resolve("ulnaris.jsa");
        if (Files.exists(archive)) {
            command.addAll(List.of("-XX:SharedArchiveFile=" + archive, "-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
        }
        command.addAll(List.of("-jar", app.resolve("ulnaris.jar").toString()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(scratch.resolve("log.txt").toFile())
                .start();
    }

    /** Waits for a process to end: well where nothing is {@code expected}, else with these words. */
    private void end(Process process, String expected) throws Exception {
        boolean ended = process.waitFor(2, TimeUnit.MINUTES);
        process.destroyForcibly();
        String log = Files.readString(scratch.resolve("log.txt"));
        if (!ended || (process.exitValue() == 0) != expected.isEmpty() || !log.contains(expected)) {
            throw new IllegalStateException("not as expected (" + expected + "): " + log);
        }
    }

    /** A backup of the demo's shop, closed first. */
    private Path demoBackup() throws Exception {
        String folder = folder("demo");
        Process process = run("--ulnaris.demo=true", "--ulnaris.data=" + folder, "--server.port=0");
        Path port = Path.of(folder, "ulnaris.port");
        for (int i = 0; i < 600 && !Files.exists(port); i++) {
            Thread.sleep(100);
        }
        Thread.sleep(5000);
        process.destroy();
        process.waitFor();
        Path backup = scratch.resolve("demo.zip");
        end(run("backup", backup.toString(), folder), "");
        return backup;
    }

    private static String sum(Path backup) throws Exception {
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            Matcher found = SUM.matcher(new String(zip.getInputStream(zip.getEntry("backup.json")).readAllBytes()));
            if (!found.find()) {
                throw new IllegalStateException("no checksum in " + backup);
            }
            return found.group(1);
        }
    }
}
