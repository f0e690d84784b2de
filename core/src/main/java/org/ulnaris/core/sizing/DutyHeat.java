package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.exp;
import static org.ulnaris.core.finding.Expression.number;
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

/** How hot a conductor gets under a load that works and rests by turns: what its duty leaves in hand. */
public final class DutyHeat {
    private DutyHeat() {}

    /** Peak of {@code onS} under {@code currentA} and {@code offS} without, repeated; empty without an ampacity. */
    public static Optional<Finding> finding(Rung rung, double currentA, double onS, double offS) {
        double columnC = rung.derating().columnTempC();
        if (!(rung.ampacityA() > 0) || !(columnC > rung.derating().localAmbientC())) {
            return Optional.empty();
        }
        WarmingUp warming = WarmingUp.of(
                CableGeometry.of(rung.conductor(), OptionalDouble.empty()), rung.derating(), rung.ampacityA());
        double peak = warming.dutyPeakC(currentA, onS, offS);
        Term ambient = term("T_a", warming.ambientC(), "°C");
        Term end = term("T_end", warming.finalC(currentA), "°C");
        Term on = term("t_on", onS, "s");
        Term off = term("t_off", offS, "s");
        Term constant = term("t_c", warming.timeConstantS(), "s");
        return Optional.of(new Finding(
                FindingCode.DUTY_HEAT,
                peak <= columnC ? Verdict.PASS : Verdict.STOP,
                peak,
                columnC,
                "°C",
                Explanation.of(
                        term("T", peak, "°C"),
                        ambient.plus(end.minus(ambient)
                                .times(number(1).minus(exp(on.negative().over(constant))))
                                .over(number(1)
                                        .minus(exp(on.plus(off).negative().over(constant)))))),
                WarmingUp.SOURCE));
    }
}
