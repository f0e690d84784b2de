package org.ulnaris.core.installation;

import java.util.List;

/**
 * An installation solved and sized.
 *
 * @param installation what was asked
 * @param runs one a run, in their order
 * @param cases one a case, in their order
 * @param rounds how often sizes and currents were worked out until they agreed
 */
public record InstallationResult(Installation installation, List<RunResult> runs, List<CaseResult> cases, int rounds) {
    public InstallationResult {
        runs = List.copyOf(runs);
        cases = List.copyOf(cases);
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

    /** Copper in all runs, kg. */
    public double copperKg() {
        return runs.stream()
                .mapToDouble(result ->
                        result.inUse().size().copperKgPerM() * result.run().lengthM())
                .sum();
    }
}
