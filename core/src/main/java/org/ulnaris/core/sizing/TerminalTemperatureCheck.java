package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.HeatBalance;
import org.ulnaris.core.rules.SizePolicy;

/**
 * The conductor's temperature against what the terminals stand: by the square of the current, T_c = T_a + (T_max − T_a)·(I/I_z)² (IEC
 * practice), or by the heat balance where that decides and is hotter.
 *
 * @param limit what the terminals stand
 */
record TerminalTemperatureCheck(Rung rung, TerminalLimit limit) implements SizeCheck {
    private static final Source SOURCE = Source.practice(note("TerminalTemperatureCheck.conductor-temperature-by"));

    @Override
    public FindingCode code() {
        return FindingCode.TERMINAL_TEMPERATURE;
    }

    @Override
    public double use() {
        return use(conductorC());
    }

    /** Heat goes with the square of the current. */
    @Override
    public double strain() {
        return Math.sqrt(use(Math.min(HeatBalance.HOTTEST_C, conductorC())));
    }

    private double use(double conductorC) {
        double ambient = rung.derating().localAmbientC();
        double allowedK = limit.limitC() - ambient;
        double riseK = conductorC - ambient;
        return riseK >= 0 && allowedK > 0 ? riseK / allowedK : Double.POSITIVE_INFINITY;
    }

    /** A limit that nobody gave asks for it, and stops nothing. */
    @Override
    public Verdict verdict() {
        Verdict strict = strictVerdict();
        return strict == Verdict.STOP && limit.assumed() ? Verdict.OPEN : strict;
    }

    /** Without searching for the temperature of the balance. */
    private Verdict strictVerdict() {
        SizePolicy policy = rung.demand().policy();
        Verdict byTable = policy.verdict(use(rung.conductorTempC()));
        if (byTable == Verdict.STOP || !balances()) {
            return byTable;
        }
        double ambient = rung.derating().localAmbientC();
        double cleanC = ambient + policy.cleanUse() * (limit.limitC() - ambient);
        if (rung.balance().holds(rung.heatingA(), cleanC)) {
            return byTable;
        }
        return rung.balance().holds(rung.heatingA(), limit.limitC()) ? Verdict.WATCH : Verdict.STOP;
    }

    private boolean balances() {
        return rung.demand().policy().heatBalanceDecides() && rung.isRated();
    }

    private double conductorC() {
        return balances()
                ? Math.max(rung.conductorTempC(), rung.balance().conductorC(rung.heatingA()))
                : rung.conductorTempC();
    }

    @Override
    public Finding finding() {
        Derating derating = rung.derating();
        Term ambient = term("T_a", derating.localAmbientC(), "°C");
        Expression byTable = ambient.plus(term("T_max", derating.columnTempC(), "°C")
                .minus(ambient)
                .times(rung.heatingTerm()
                        .over(term("I_z", rung.ampacityA(), "A"))
                        .squared()));
        double conductorC = conductorC();
        Term hot = term("T_c", conductorC, "°C");
        Explanation explanation = conductorC > rung.conductorTempC()
                ? Explanation.read(note("TerminalTemperatureCheck.by-the-heat"), hot, rung.heatingTerm())
                : spelled(Explanation.of(hot, byTable));
        return new Finding(
                code(), verdict(), conductorC, limit.limitC(), "°C", explanation, SOURCE.and(limit.source()));
    }

    private Explanation spelled(Explanation explanation) {
        return rung.spell()
                .map(spell -> explanation
                        .noted(note("TerminalTemperatureCheck.in-spells"))
                        .with(
                                term("I_on", spell.onA(), "A"),
                                term("I_off", spell.offA(), "A"),
                                term("t_on", spell.onS(), "s"),
                                term("t_off", spell.offS(), "s")))
                .orElse(explanation);
    }
}
