package org.ulnaris.app.loads;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.network.ParallelStrings;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;

/**
 * How the strings of a bank share its current, by how it is tapped.
 *
 * @param current greatest current of the bank in any case
 * @param taps one a way of tapping
 */
public record StringsView(String current, List<TapView> taps) {
    /** Of each link between two strings, or lead of a string (ours: 0.3 m of 35 mm² with its joints). */
    private static final double LINK_OHM = 0.0002;
    /** More apart than this is to be watched, beyond twice this it stops (ours), %. */
    private static final double WATCH_PERCENT = 10;

    /** A way of tapping. */
    public record TapView(String name, String words, Verdict verdict) {}

    static StringsView of(InstallationResult result, Device.Bank bank, Fmt fmt, Words words) {
        double current = 0;
        for (CaseResult one : result.cases()) {
            ElementState state = one.solution().states().get(bank.tag());
            current = state == null ? current : Math.max(current, Math.abs(state.currentA()));
        }
        double drawn = current > 1 ? current : 100;
        Device.BankBuild build = bank.build();
        ParallelStrings strings =
                new ParallelStrings(build.parallel(), build.restV(), build.unitOhm() * build.series(), LINK_OHM);
        List<TapView> taps = new ArrayList<>();
        for (ParallelStrings.Tap tap : ParallelStrings.Tap.values()) {
            List<Double> shares = strings.sharesA(tap, drawn);
            double apart = ParallelStrings.imbalancePercent(shares);
            double most = shares.stream().mapToDouble(Double::doubleValue).max().orElse(0);
            double least =
                    shares.stream().mapToDouble(Double::doubleValue).min().orElse(0);
            Verdict verdict = Verdict.STOP;
            if (apart <= WATCH_PERCENT) {
                verdict = Verdict.PASS;
            } else if (apart <= 2 * WATCH_PERCENT) {
                verdict = Verdict.WATCH;
            }
            taps.add(new TapView(
                    words.name(tap),
                    words.of(
                            "strings.words",
                            fmt.figure(most, "A"),
                            fmt.figure(least, "A"),
                            Figures.significant(apart < 0.01 ? 0 : apart, 2) + Fmt.SPACE + "%"),
                    verdict));
        }
        return new StringsView(fmt.figure(drawn, "A"), List.copyOf(taps));
    }
}
