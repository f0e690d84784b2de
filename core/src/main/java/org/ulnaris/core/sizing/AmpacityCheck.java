package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.TableRating;

/** The current against what the table lets the size carry here. */
record AmpacityCheck(Rung rung) implements SizeCheck {
    @Override
    public FindingCode code() {
        return FindingCode.AMPACITY;
    }

    @Override
    public double use() {
        return rung.ampacityA() > 0 ? rung.currentA() / rung.ampacityA() : Double.POSITIVE_INFINITY;
    }

    @Override
    public Finding finding() {
        TableRating rating = rung.rating();
        Derating derating = rung.derating();
        Explanation explanation = Explanation.of(
                term("I_z", rung.ampacityA(), "A"),
                term("I_t", rating == null ? 0 : rating.ampacityA(), "A")
                        .times(term("f_ambient", derating.ambientFactor(), ""))
                        .times(term("f_bundle", derating.bundleFactor(), ""))
                        .times(term("f_engine", derating.engineFactor(), "")));
        return new Finding(code(), verdict(), rung.currentA(), rung.ampacityA(), "A", explanation, source());
    }

    private Source source() {
        Source table = rung.demand().ruleSet().method().source();
        return rung.derating().bundleFactor() < 1
                ? table.and(rung.demand().ruleSet().method().bundlingSource())
                : table;
    }
}
