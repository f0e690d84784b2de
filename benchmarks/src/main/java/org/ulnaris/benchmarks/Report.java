package org.ulnaris.benchmarks;

import java.util.Collection;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the benchmarks and prints medians and the ratio to the peer of the same run. */
public final class Report {
    private final Collection<RunResult> results;

    private Report(Collection<RunResult> results) {
        this.results = results;
    }

    public static void main(String[] args) throws Exception {
        Report report = new Report(new Runner(new OptionsBuilder()
                        .include(SizingBenchmark.class.getSimpleName())
                        .include(InstallationBenchmark.class.getSimpleName())
                        .include(MatchBenchmark.class.getSimpleName())
                        .include(WorkedJobBenchmark.class.getSimpleName())
                        .build())
                .run());
        report.print("sizing over 15 sizes, against a bare loop", "core", "bareLoop", "");
        report.print("60 cables, 8 cases, against dense solutions", "solved", "dense", "60");
        report.print("1000 cables, 8 cases, against dense solutions", "solved", "dense", "1000");
        report.print(
                "60 cables, four sources, protection judged, against solved alone",
                "protectedYard",
                "solvedYard",
                "60");
        report.print(
                "1000 cables, four sources, protection judged, against solved alone",
                "protectedYard",
                "solvedYard",
                "1000");
        report.print(
                "proposals, 60 cables, 1000 parts, 60 dies, against bare quotients", "proposals", "bareProposals", "");
        report.print("job of 60 cables worked out, against its network and ends alone", "worked", "networkAndEnds", "");
        report.print(
                "the same with four sources and a fuse a load, against the same floor",
                "guarded",
                "networkAndEnds",
                "");
        report.print("the same after one change, against its network and ends alone", "reworked", "networkAndEnds", "");
        report.print("compaction map 100 × 60, against bare quotients", "map", "bareMap", "");
    }

    private void print(String what, String name, String peer, String cables) {
        double own = medianNs(name, cables);
        double other = medianNs(peer, cables);
        System.out.printf(
                Locale.ROOT,
                "%s: median %.4f ms, peer %.4f ms, ratio %.2f%n",
                what,
                own / 1e6,
                other / 1e6,
                own / other);
    }

    private double medianNs(String name, String cables) {
        return results.stream()
                .filter(result -> result.getParams().getBenchmark().endsWith("." + name))
                .filter(result ->
                        cables.isEmpty() || cables.equals(result.getParams().getParam("cables")))
                .findFirst()
                .orElseThrow()
                .getPrimaryResult()
                .getStatistics()
                .getPercentile(50);
    }
}
