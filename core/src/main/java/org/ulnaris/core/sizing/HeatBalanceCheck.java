package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.HeatBalance;
import org.ulnaris.core.rules.SizePolicy;

/** The second school: the current against the one at which heat made and heat lost meet at the insulation's temperature. */
record HeatBalanceCheck(Rung rung) implements SizeCheck {
    @Override
    public FindingCode code() {
        return FindingCode.HEAT_BALANCE;
    }

    @Override
    public double use() {
        return rung.isRated() ? rung.heatingA() / rung.balance().currentA(columnC()) : 0;
    }

    /** A heat balance that does not decide never stops. */
    @Override
    public Verdict verdict() {
        SizePolicy policy = rung.demand().policy();
        if (!rung.isRated() || rung.balance().holds(rung.heatingA() / policy.cleanUse(), columnC())) {
            return Verdict.PASS;
        }
        return !policy.heatBalanceDecides() || rung.balance().holds(rung.heatingA(), columnC())
                ? Verdict.WATCH
                : Verdict.STOP;
    }

    private double columnC() {
        return rung.derating().columnTempC();
    }

    @Override
    public Finding finding() {
        HeatBalance balance = rung.balance();
        double conductorC = balance.conductorC(rung.heatingA());
        boolean conduit = rung.demand().conditions().conduit();
        boolean walled = rung.demand().conditions().walled();
        String way = conduit && walled ? "both" : conduit ? "conduit" : walled ? "wall" : "free";
        Explanation explanation = Explanation.read(
                note("HeatBalanceCheck." + way),
                term("T_h", conductorC, "°C"),
                term("T_c", rung.conductorTempC(), "°C"),
                term("T_max", columnC(), "°C"),
                rung.heatingTerm(),
                term("I_max", balance.currentA(columnC()), "A"),
                term("n", rung.demand().conditions().bundledConductors(), ""));
        return new Finding(code(), verdict(), conductorC, columnC(), "°C", explanation, HeatBalance.SOURCE);
    }
}
