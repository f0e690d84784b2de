package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.rating.Derating;

/**
 * The conductor's temperature, T_c = T_a + (T_max − T_a)·(I/I_z)² (IEC practice), against what the terminals stand.
 *
 * @param limitC temperature limit of the terminals, °C
 */
record TerminalTemperatureCheck(Rung rung, double limitC) implements SizeCheck {
    private static final Source SOURCE =
            Source.practice("conductor temperature by the square of the current (IEC practice)");

    @Override
    public FindingCode code() {
        return FindingCode.TERMINAL_TEMPERATURE;
    }

    @Override
    public double use() {
        double ambient = rung.derating().localAmbientC();
        double allowedK = limitC - ambient;
        double riseK = rung.conductorTempC() - ambient;
        return riseK >= 0 && allowedK > 0 ? riseK / allowedK : Double.POSITIVE_INFINITY;
    }

    @Override
    public Finding finding() {
        Derating derating = rung.derating();
        Term ambient = term("T_a", derating.localAmbientC(), "°C");
        Explanation explanation = Explanation.of(
                term("T_c", rung.conductorTempC(), "°C"),
                ambient.plus(term("T_max", derating.columnTempC(), "°C")
                        .minus(ambient)
                        .times(term("I", rung.currentA(), "A")
                                .over(term("I_z", rung.ampacityA(), "A"))
                                .squared())));
        return new Finding(code(), verdict(), rung.conductorTempC(), limitC, "°C", explanation, SOURCE);
    }
}
