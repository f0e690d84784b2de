package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;

import java.util.OptionalDouble;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.HeatBalance;

/** The second school: the current against the one at which heat made and heat lost meet at the insulation's temperature. */
record HeatBalanceCheck(Rung rung) implements SizeCheck {
    @Override
    public FindingCode code() {
        return FindingCode.HEAT_BALANCE;
    }

    @Override
    public double use() {
        return isRated() ? rung.currentA() / balance().currentA(columnC()) : 0;
    }

    /** Whether it lets the size pass, or does not decide in this house. */
    boolean passes() {
        return !rung.demand().heatBalanceDecides() || !isRated() || balance().holds(rung.currentA(), columnC());
    }

    /** A heat balance that does not decide never stops. */
    @Override
    public Verdict verdict() {
        if (!isRated() || balance().holds(rung.currentA() / Rung.WATCH_ABOVE_USE, columnC())) {
            return Verdict.PASS;
        }
        return passes() ? Verdict.WATCH : Verdict.STOP;
    }

    private boolean isRated() {
        Derating derating = rung.derating();
        return derating.hasColumn() && derating.columnTempC() > derating.localAmbientC();
    }

    private double columnC() {
        return rung.derating().columnTempC();
    }

    /** With the usual outside diameter of each size: a measured one belongs to one cable, and the ladder compares sizes. */
    private HeatBalance balance() {
        return new HeatBalance(
                CableGeometry.of(rung.conductor(), OptionalDouble.empty()),
                new HeatBalance.Mounting(
                        rung.derating().localAmbientC(),
                        rung.demand().conditions().bundledConductors(),
                        rung.demand().conditions().conduit()));
    }

    @Override
    public Finding finding() {
        HeatBalance balance = balance();
        double conductorC = balance.conductorC(rung.currentA());
        String way = rung.demand().conditions().conduit() ? "through a conduit, by" : "by";
        Explanation explanation = Explanation.read(
                "heat leaves " + way
                        + " convection and radiation; h by this balance, c by the table, max where the insulation is reached",
                term("T_h", conductorC, "°C"),
                term("T_c", rung.conductorTempC(), "°C"),
                term("T_max", columnC(), "°C"),
                term("I", rung.currentA(), "A"),
                term("I_max", balance.currentA(columnC()), "A"),
                term("n", rung.demand().conditions().bundledConductors(), ""));
        return new Finding(code(), verdict(), conductorC, columnC(), "°C", explanation, HeatBalance.SOURCE);
    }
}
