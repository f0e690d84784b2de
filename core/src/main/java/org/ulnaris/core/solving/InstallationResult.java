package org.ulnaris.core.solving;

import java.util.List;
import java.util.Map;
import org.ulnaris.core.feed.Feeding;
import org.ulnaris.core.feed.ShortCircuits;
import org.ulnaris.core.installation.Installation;

/**
 * An installation solved and sized.
 *
 * @param installation what was asked
 * @param runs one a run, in their order
 * @param cases one a case, in their order
 * @param through what flows through each fuse, switch and bar while the runs are sized, by its tag
 * @param banks what each bank gives and takes, by its tag
 * @param feeding how it is fed
 * @param shorts what short circuits draw, at these sizes
 * @param rounds how often sizes and currents were worked out until they agreed
 */
public record InstallationResult(
        Installation installation,
        List<RunResult> runs,
        List<CaseResult> cases,
        Map<String, Through> through,
        Map<String, BankCurrent> banks,
        Feeding feeding,
        ShortCircuits shorts,
        int rounds) {
    public InstallationResult {
        runs = List.copyOf(runs);
        cases = List.copyOf(cases);
        through = Map.copyOf(through);
        banks = Map.copyOf(banks);
    }

    /**
     * What a bank gives and takes for good, worst of all cases; engines that crank do not count.
     *
     * @param dischargeA given, A
     * @param chargeA taken, A
     */
    public record BankCurrent(double dischargeA, double chargeA) {}

    /**
     * What flows through a device, worst of all cases.
     *
     * @param continuousA for good, A
     * @param surgeA with surges, A
     * @param surgeS how long, s
     * @param bothWays whether it flows one way in one case and the other way in another
     */
    public record Through(double continuousA, double surgeA, double surgeS, boolean bothWays) {
        static final Through NOTHING = new Through(0, 0, 0, false);
    }

    /** What flows through the fuse, switch or bar {@code tag}. */
    public Through through(String tag) {
        return through.getOrDefault(tag, Through.NOTHING);
    }

    /**
     * The run {@code tag}.
     *
     * @throws IllegalArgumentException when there is none
     */
    public RunResult run(String tag) {
        return runs.stream()
                .filter(result -> result.run().tag().equals(tag))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no cable '" + tag + "'"));
    }

    /** Metal in all runs, kg. */
    public double metalKg() {
        return runs.stream()
                .mapToDouble(result ->
                        result.inUse().conductor().kgPerM() * result.run().lengthM())
                .sum();
    }
}
