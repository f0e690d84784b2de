package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.exp;
import static org.ulnaris.core.finding.Expression.term;

import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.WarmingUp;

/** Whether a surge on top of the continuous current heats a conductor beyond its insulation. */
public final class SurgeHeat {
    private SurgeHeat() {}

    /**
     * A surge.
     *
     * @param continuousA what heats it before, A
     * @param surgeA what flows while it lasts, A
     * @param seconds how long, s
     */
    public record Surge(double continuousA, double surgeA, double seconds) {}

    /** Temperature at the end of {@code surge} against the insulation; empty without a surge or without an ampacity. */
    public static Optional<Finding> finding(Rung rung, Surge surge) {
        double columnC = rung.derating().columnTempC();
        boolean rated = rung.ampacityA() > 0 && columnC > rung.derating().localAmbientC();
        if (!rated || !(surge.seconds() > 0) || !(surge.surgeA() > surge.continuousA())) {
            return Optional.empty();
        }
        WarmingUp warming = WarmingUp.of(
                CableGeometry.of(rung.conductor(), OptionalDouble.empty()), rung.derating(), rung.ampacityA());
        double before = Math.min(columnC, warming.finalC(surge.continuousA()));
        double peak = warming.afterC(before, surge.surgeA(), surge.seconds());
        Term end = term("T_end", warming.finalC(surge.surgeA()), "°C");
        return Optional.of(new Finding(
                FindingCode.SURGE_HEAT,
                peak <= columnC ? Verdict.PASS : Verdict.STOP,
                peak,
                columnC,
                "°C",
                Explanation.of(
                                term("T", peak, "°C"),
                                end.plus(term("T_0", before, "°C")
                                        .minus(end)
                                        .times(exp(term("t", surge.seconds(), "s")
                                                .negative()
                                                .over(term("t_c", warming.timeConstantS(), "s"))))))
                        .with(term("I", surge.surgeA(), "A")),
                WarmingUp.SOURCE));
    }
}
