package org.ulnaris.benchmarks;

import java.util.Collection;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.util.Statistics;

/** Runs the benchmarks and prints medians and the ratio to the bare loop of the same run. */
public final class Report {
    private Report() {}

    public static void main(String[] args) throws Exception {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(SizingBenchmark.class.getSimpleName())
                        .build())
                .run();
        double core = median(results, "core");
        double bare = median(results, "bareLoop");
        System.out.printf(
                "sizing over 15 sizes: median %.2f µs, bare loop %.2f µs, ratio %.1f%n",
                core / 1000, bare / 1000, core / bare);
        System.out.printf(
                "mean: %.0f ns against %.0f ns, ratio %.1f%n",
                mean(results, "core"), mean(results, "bareLoop"), mean(results, "core") / mean(results, "bareLoop"));
    }

    private static Statistics of(Collection<RunResult> results, String name) {
        return results.stream()
                .filter(result -> result.getParams().getBenchmark().endsWith("." + name))
                .findFirst()
                .orElseThrow()
                .getPrimaryResult()
                .getStatistics();
    }

    private static double median(Collection<RunResult> results, String name) {
        return of(results, name).getPercentile(50);
    }

    private static double mean(Collection<RunResult> results, String name) {
        return of(results, name).getMean();
    }
}
