package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.TableRating;

/** The current against what the table lets the size carry here. */
record AmpacityCheck(Rung rung) implements SizeCheck {
    private static final Source WALL =
            new Source("BS 7671", note("AmpacityCheck.523-9-surrounded"), Confidence.RECALLED_HIGH);

    private static final Source OTHER_METAL = Source.own(note("AmpacityCheck.of-another-metal"));

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
        Expression factors = term("I_t", rating == null ? 0 : rating.ampacityA(), "A")
                .times(term("f_ambient", derating.ambientFactor(), ""))
                .times(term("f_bundle", derating.bundleFactor(), ""))
                .times(term("f_engine", derating.engineFactor(), ""));
        Explanation explanation = Explanation.of(
                term("I_z", rung.ampacityA(), "A"),
                derating.wallFactor() < 1 ? factors.times(term("f_wall", derating.wallFactor(), "")) : factors);
        return new Finding(code(), verdict(), rung.currentA(), rung.ampacityA(), "A", explanation, source());
    }

    private Source source() {
        Source table = rung.demand().ruleSet().method().source();
        Source bundled = rung.derating().bundleFactor() < 1
                ? table.and(rung.demand().ruleSet().method().bundlingSource())
                : table;
        Source metal =
                rung.demand().ruleSet().method().knows(rung.conductor().metal()) ? bundled : bundled.and(OTHER_METAL);
        return rung.derating().wallFactor() < 1 ? metal.and(WALL) : metal;
    }
}
