package org.ulnaris.core.finding;

import java.util.Locale;
import java.util.stream.Collectors;
import org.ulnaris.core.finding.Expression.Call;
import org.ulnaris.core.finding.Expression.Constant;
import org.ulnaris.core.finding.Expression.Negative;
import org.ulnaris.core.finding.Expression.Notation;
import org.ulnaris.core.finding.Expression.Operation;
import org.ulnaris.core.finding.Expression.Operator;
import org.ulnaris.core.finding.Expression.Power;
import org.ulnaris.core.finding.Expression.Term;

/**
 * A formula on one line of text, with brackets where the line could be read otherwise: {@code F / (π / 4 · (D_w² − D_h²))}.
 *
 * @param values numbers with their units in place of the symbols
 */
public record PlainText(boolean values) implements Notation<String> {
    @Override
    public String term(Term term) {
        return values ? term.text() : term.symbol();
    }

    @Override
    public String constant(Constant constant) {
        return constant.text();
    }

    @Override
    public String operation(Operation operation) {
        Operator operator = operation.operator();
        boolean sum = operator == Operator.PLUS || operator == Operator.MINUS;
        String left = sum
                ? operation.left().in(this)
                : bracketed(operation.left(), operation.left().isSum() || isCompound(operation.left()));
        boolean bracketsRight = switch (operator) {
            case PLUS -> operation.right().isSigned(values);
            case MINUS -> operation.right().isSum() || operation.right().isSigned(values);
            case TIMES ->
                operation.right().isSum()
                        || isCompound(operation.right())
                        || operation.right().isSigned(values);
            case OVER ->
                operation.right() instanceof Operation
                        || isCompound(operation.right())
                        || operation.right().isSigned(values);
        };
        return left + sign(operator) + bracketed(operation.right(), bracketsRight);
    }

    private static String sign(Operator operator) {
        return switch (operator) {
            case PLUS -> " + ";
            case MINUS -> " − ";
            case TIMES -> " · ";
            case OVER -> " / ";
        };
    }

    @Override
    public String power(Power power) {
        boolean atom = power.base() instanceof Constant
                || power.base() instanceof Call
                || power.base() instanceof Term term
                        && !(values && (!term.unit().isEmpty() || term.isSigned(values)));
        String base = bracketed(power.base(), !atom);
        boolean square = power.exponent().equals(Expression.number(2));
        return square ? base + "²" : base + "^(" + power.exponent().in(this) + ")";
    }

    @Override
    public String negative(Negative negative) {
        return "−"
                + bracketed(
                        negative.of(), negative.of().isSum() || negative.of().isSigned(values));
    }

    @Override
    public String call(Call call) {
        String arguments =
                call.arguments().stream().map(argument -> argument.in(this)).collect(Collectors.joining(", "));
        return switch (call.function()) {
            case ROOT -> "√(" + arguments + ")";
            case MAGNITUDE -> "|" + arguments + "|";
            case MIN, FLOOR, TAN -> call.function().name().toLowerCase(Locale.ROOT) + "(" + arguments + ")";
        };
    }

    private String bracketed(Expression expression, boolean brackets) {
        String text = expression.in(this);
        return brackets ? "(" + text + ")" : text;
    }

    /** A unit of several parts, which in a product could be read as part of it. */
    private boolean isCompound(Expression expression) {
        return values
                && expression instanceof Term term
                && (term.unit().contains("·") || term.unit().contains("/"));
    }
}
