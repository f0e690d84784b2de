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
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.overcurrent.BankLimits;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;

/**
 * How the strings of a bank share its current, by how it is tapped.
 *
 * @param current greatest current of the bank in any case
 * @param taps one a way of tapping
 */
public record StringsView(String current, List<TapView> taps) {
    /** A way of tapping. */
    public record TapView(String name, String words, Verdict verdict) {}

    static StringsView of(InstallationResult result, Device.Bank bank, Fmt fmt, Words words) {
        double current = 0;
        for (CaseResult one : result.cases()) {
            ElementState state = one.solution().states().get(bank.tag());
            current = state == null ? current : Math.max(current, Math.abs(state.currentA()));
        }
        double drawn = current > 1 ? current : 100;
        ParallelStrings strings = BankLimits.strings(bank.build());
        List<TapView> taps = new ArrayList<>();
        for (StringTap tap : StringTap.values()) {
            List<Double> shares = strings.sharesA(tap, drawn);
            double apart = ParallelStrings.imbalancePercent(shares);
            double most = shares.stream().mapToDouble(Double::doubleValue).max().orElse(0);
            double least =
                    shares.stream().mapToDouble(Double::doubleValue).min().orElse(0);
            Verdict verdict = apart <= BankLimits.WATCH_PERCENT ? Verdict.PASS : Verdict.WATCH;
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
