package org.ulnaris.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** ngspice, a general-purpose circuit simulator, on a netlist as it is: nothing is added to the file. */
public final class Ngspice {
    private Ngspice() {}

    /** Voltage of each node of the operating point by its name in the netlist, V. */
    public static Map<String, Double> nodeVoltages(String netlist, Path folder)
            throws IOException, InterruptedException {
        Path file = Files.writeString(folder.resolve("network.cir"), netlist);
        Path raw = folder.resolve("network.raw");
        Path out = folder.resolve("out.txt");
        Files.deleteIfExists(raw);
        ProcessBuilder builder = new ProcessBuilder("ngspice", "-b", "-r", raw.toString(), file.toString())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile());
        builder.environment().put("SPICE_ASCIIRAWFILE", "1");
        builder.start().waitFor();
        assertThat(Files.readString(out, StandardCharsets.ISO_8859_1).toLowerCase(java.util.Locale.ROOT))
                .doesNotContain("singular", "failed", "no convergence");
        List<String> lines = Files.readAllLines(raw, StandardCharsets.ISO_8859_1);
        int names = lines.indexOf("Variables:") + 1;
        int values = lines.indexOf("Values:") + 1;
        Map<String, Double> voltages = new HashMap<>();
        for (int i = 0; names + i < values - 1; i++) {
            String[] variable = lines.get(names + i).strip().split("\\s+");
            String[] figure = lines.get(values + i).strip().split("\\s+");
            if (variable[1].startsWith("v(")) {
                voltages.put(
                        variable[1].substring(2, variable[1].length() - 1), Double.valueOf(figure[figure.length - 1]));
            }
        }
        return voltages;
    }
}
