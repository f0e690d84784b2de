package org.ulnaris.app.shell;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Expression.Call;
import org.ulnaris.core.finding.Expression.Constant;
import org.ulnaris.core.finding.Expression.Negative;
import org.ulnaris.core.finding.Expression.Notation;
import org.ulnaris.core.finding.Expression.Operation;
import org.ulnaris.core.finding.Expression.Power;
import org.ulnaris.core.finding.Expression.Term;

/**
 * Why a figure is what it is, as pages and papers show it.
 *
 * @param explanation formula, values and note
 */
public record Reason(Explanation explanation) {
    private static final String EQUALS = operator("=");

    /** A reason that no figure stands behind. */
    public static Reason words(String words) {
        return new Reason(Explanation.words(words));
    }

    /** On one line of text. */
    public String text() {
        return explanation.text();
    }

    /** With MathML, each step of an equation by itself so that it wraps on a narrow screen; every text in it is escaped. */
    public String html() {
        Explanation.Equation equation = explanation.equation();
        String note = explanation.note();
        String given = given(explanation.given());
        if (equation == null) {
            return words(note.isEmpty() || given.isEmpty() ? note : note + ":", given);
        }
        return math(symbol(equation.result().symbol())
                        + EQUALS
                        + equation.formula().in(new MathMl(false)))
                + math(EQUALS + equation.formula().in(new MathMl(true)))
                + math(EQUALS + quantity(equation.result()))
                + given
                + words(note, "");
    }

    private static String words(String text, String after) {
        return text.isEmpty() ? after : "<span>" + escaped(text) + "</span> " + after;
    }

    private static String given(List<Term> terms) {
        return terms.stream()
                .map(term -> math(symbol(term.symbol()) + EQUALS + quantity(term)))
                .collect(Collectors.joining());
    }

    private static String math(String inner) {
        return "<math displaystyle=\"true\">" + inner + "</math> ";
    }

    private static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }

    private static String operator(String sign) {
        return "<mo>" + sign + "</mo>";
    }

    private static String row(String inner) {
        return "<mrow>" + inner + "</mrow>";
    }

    /** A symbol; what follows its underscore is its index. */
    private static String symbol(String symbol) {
        int at = symbol.indexOf('_');
        return at < 0
                ? "<mi>" + escaped(symbol) + "</mi>"
                : "<msub><mi>" + escaped(symbol.substring(0, at)) + "</mi><mtext>" + escaped(symbol.substring(at + 1))
                        + "</mtext></msub>";
    }

    private static String quantity(Term term) {
        String number = "<mn>" + term.number() + "</mn>";
        return term.unit().isEmpty()
                ? number
                : row(number + "<mtext>" + (term.gap().isEmpty() ? "" : "\u2009") + escaped(term.unit()) + "</mtext>");
    }

    /**
     * One side of an equation.
     *
     * @param values numbers with their units in place of the symbols
     */
    private record MathMl(boolean values) implements Notation<String> {
        @Override
        public String term(Term term) {
            return values ? quantity(term) : symbol(term.symbol());
        }

        @Override
        public String constant(Constant constant) {
            boolean letter = Character.isLetter(constant.text().charAt(0));
            return letter ? "<mi>" + constant.text() + "</mi>" : "<mn>" + escaped(constant.text()) + "</mn>";
        }

        @Override
        public String operation(Operation operation) {
            Expression left = operation.left();
            Expression right = operation.right();
            return switch (operation.operator()) {
                case OVER -> "<mfrac>" + row(left.in(this)) + row(right.in(this)) + "</mfrac>";
                case TIMES -> row(factor(left) + operator("·") + factor(right));
                case PLUS -> row(left.in(this) + operator("+") + summand(right, false));
                case MINUS -> row(left.in(this) + operator("−") + summand(right, true));
            };
        }

        private String factor(Expression of) {
            return bracketed(of, of.isSum() || of.isSigned(values));
        }

        private String summand(Expression of, boolean afterMinus) {
            return bracketed(of, of.isSigned(values) || afterMinus && of.isSum());
        }

        private String bracketed(Expression of, boolean brackets) {
            return brackets ? row(operator("(") + of.in(this) + operator(")")) : of.in(this);
        }

        @Override
        public String power(Power power) {
            boolean withUnit =
                    values && power.base() instanceof Term term && !term.unit().isEmpty();
            boolean brackets = withUnit || power.base() instanceof Operation;
            return "<msup>" + row(bracketed(power.base(), brackets))
                    + row(power.exponent().in(this)) + "</msup>";
        }

        @Override
        public String negative(Negative negative) {
            return row(operator("−") + summand(negative.of(), true));
        }

        @Override
        public String call(Call call) {
            String arguments = call.arguments().stream()
                    .map(argument -> argument.in(this))
                    .collect(Collectors.joining(operator(",")));
            String name = "<mi>" + call.function().name().toLowerCase(Locale.ROOT) + "</mi>";
            return switch (call.function()) {
                case ROOT -> "<msqrt>" + row(arguments) + "</msqrt>";
                case MAGNITUDE -> row(operator("|") + arguments + operator("|"));
                case MIN, FLOOR, TAN -> row(name + operator("(") + arguments + operator(")"));
            };
        }
    }
}
