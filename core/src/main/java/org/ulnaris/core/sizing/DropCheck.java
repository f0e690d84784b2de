package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/** The drop over the loop against what the cable may lose. */
record DropCheck(Rung rung) implements SizeCheck {
    private static final Source SOURCE = Source.given(note("DropCheck.drop-target-of"));
    private static final Source USUAL = Source.practice(note("DropCheck.usual-drop"));

    @Override
    public FindingCode code() {
        return FindingCode.DROP;
    }

    @Override
    public double use() {
        return rung.dropV() / rung.demand().load().maxDropV();
    }

    @Override
    public Verdict verdict() {
        return rung.demand()
                .load()
                .drop()
                .verdict(rung.dropPercent(), rung.demand().policy());
    }

    @Override
    public Finding finding() {
        CableDemand.Load load = rung.demand().load();
        Expression warmed = number(1)
                .plus(term("k_T", rung.conductor().metal().alphaPerK(), "/K")
                        .times(term("T", rung.dropTempC(), "°C").minus(number(20, "°C"))));
        Explanation explanation = Explanation.of(
                term("ΔU", rung.dropPercent(), "%"),
                number(2)
                        .times(term("L", load.oneWayLengthM(), "m"))
                        .times(term("I", load.currentA(), "A"))
                        .times(term("r_20", rung.ohmPerMetreAt20(), "Ω/m"))
                        .times(warmed)
                        .over(term("U", load.systemVoltageV(), "V")));
        Source limit = load.drop().assumed() ? USUAL : SOURCE;
        Source resistance = ConductorResistance.source(rung.conductor());
        return new Finding(
                code(),
                verdict(),
                rung.dropPercent(),
                load.drop().percent(),
                "%",
                explanation,
                new Source(
                        resistance.document() + "; " + limit.document(), resistance.clause(), resistance.confidence()));
    }
}
