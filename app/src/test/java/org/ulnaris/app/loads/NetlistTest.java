package org.ulnaris.app.loads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.core.network.NetworkSolution;
import org.ulnaris.core.network.Ngspice;
import org.ulnaris.core.solving.InstallationResult;

/** Netlists as a person downloads them, in ngspice, a general-purpose circuit simulator. */
class NetlistTest extends AppTest {
    private static final double RELATIVE = 1e-6;
    private static final Pattern NODE = Pattern.compile("(?m)^\\* node (\\S+): (.*)$");

    @TempDir
    Path folder;

    @Test
    void everyCaseOfEveryDemonstrationJobAgreesWithNgspice() throws Exception {
        int compared = 0;
        List<Job> demos = jobs.all().stream().filter(job -> job.id() <= 3).toList();
        for (Job demo : demos) {
            InstallationResult network = works.of(demo.id()).network().orElseThrow();
            for (int number = 1; number <= network.cases().size(); number++) {
                String netlist = body(get("/jobs/" + demo.id() + "/export/network.cir?case=" + number));
                Map<String, Double> spice = Ngspice.nodeVoltages(netlist, folder);
                NetworkSolution solution = network.cases().get(number - 1).solution();
                for (var node : NODE.matcher(netlist).results().toList()) {
                    double ours = solution.nodeV().get(node.group(2));
                    double theirs = node.group(1).equals("0") ? 0 : spice.get(node.group(1));
                    assertThat(ours)
                            .as(demo.details().name() + " " + number + " " + node.group(2))
                            .isCloseTo(theirs, within(RELATIVE * 60));
                    compared++;
                }
            }
        }
        assertThat(compared).isGreaterThan(150);
    }
}
