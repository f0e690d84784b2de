package org.ulnaris.core.finding;

import java.util.List;
import org.ulnaris.core.measure.Figures;

/** A formula: what is known by symbol, value and unit, and what is done with it. It is written down by a {@link Notation}. */
public sealed interface Expression {
    Expression PI = new Constant("π");
    Expression E = new Constant("e");

    /**
     * Something known, or the outcome of a formula.
     *
     * @param symbol as it stands in the formula; what follows an underscore is its index
     * @param value the number
     * @param unit its unit; empty for a pure number
     */
    record Term(String symbol, double value, String unit) implements Expression {
        /** The value as it is printed: four significant digits, at least tenths, a true minus. */
        public String number() {
            int whole = (int) Math.floor(Math.log10(Math.max(1, Math.abs(value)))) + 1;
            return Figures.significant(value, Math.max(4, whole + 1)).replace('-', '−');
        }

        /** What stands between number and unit: "per kelvin" follows its number at once. */
        public String gap() {
            return unit.isEmpty() || unit.startsWith("/") ? "" : " ";
        }

        /** Number and unit. */
        public String text() {
            return number() + gap() + unit;
        }
    }

    /** A number of the formula itself, as it is written. */
    record Constant(String text) implements Expression {}

    /** The four kinds of arithmetic, from the loosest to the tightest. */
    enum Operator {
        PLUS,
        MINUS,
        TIMES,
        OVER
    }

    /** {@code left} and {@code right} taken together. */
    record Operation(Operator operator, Expression left, Expression right) implements Expression {}

    /** {@code base} raised to {@code exponent}. */
    record Power(Expression base, Expression exponent) implements Expression {}

    /** The opposite of {@code of}. */
    record Negative(Expression of) implements Expression {}

    /** What a function makes of {@code arguments}. */
    record Call(Function function, List<Expression> arguments) implements Expression {}

    /** Functions that formulas call. */
    enum Function {
        ROOT,
        MAGNITUDE,
        MIN,
        FLOOR,
        TAN
    }

    /** A way of writing expressions down. */
    interface Notation<T> {
        T term(Term term);

        T constant(Constant constant);

        T operation(Operation operation);

        T power(Power power);

        T negative(Negative negative);

        T call(Call call);
    }

    /** This expression in {@code notation}. */
    default <T> T in(Notation<T> notation) {
        if (this instanceof Term term) {
            return notation.term(term);
        } else if (this instanceof Constant constant) {
            return notation.constant(constant);
        } else if (this instanceof Operation operation) {
            return notation.operation(operation);
        } else if (this instanceof Power power) {
            return notation.power(power);
        } else if (this instanceof Negative negative) {
            return notation.negative(negative);
        }
        return notation.call((Call) this);
    }

    /** Whether it is a sum or a difference. */
    default boolean isSum() {
        return this instanceof Operation operation
                && (operation.operator() == Operator.PLUS || operation.operator() == Operator.MINUS);
    }

    /** Whether it begins with a minus of its own, in symbols or with its {@code values}. */
    default boolean isSigned(boolean values) {
        return this instanceof Negative || values && this instanceof Term term && term.value() < 0;
    }

    static Term term(String symbol, double value, String unit) {
        return new Term(symbol, value, unit);
    }

    /** A whole number of the formula. */
    static Expression number(int value) {
        return new Constant(Integer.toString(value));
    }

    /** A number of the formula with its unit, e.g. the 20 °C that a resistance is given for. */
    static Expression number(int value, String unit) {
        return new Constant(value + " " + unit);
    }

    default Expression plus(Expression other) {
        return new Operation(Operator.PLUS, this, other);
    }

    default Expression minus(Expression other) {
        return new Operation(Operator.MINUS, this, other);
    }

    default Expression times(Expression other) {
        return new Operation(Operator.TIMES, this, other);
    }

    default Expression over(Expression other) {
        return new Operation(Operator.OVER, this, other);
    }

    default Expression squared() {
        return new Power(this, number(2));
    }

    default Expression negative() {
        return new Negative(this);
    }

    /** e raised to {@code exponent}. */
    static Expression exp(Expression exponent) {
        return new Power(E, exponent);
    }

    static Expression root(Expression of) {
        return new Call(Function.ROOT, List.of(of));
    }

    static Expression magnitude(Expression of) {
        return new Call(Function.MAGNITUDE, List.of(of));
    }

    static Expression floor(Expression of) {
        return new Call(Function.FLOOR, List.of(of));
    }

    static Expression tan(Expression of) {
        return new Call(Function.TAN, List.of(of));
    }

    static Expression min(Expression one, Expression other) {
        return new Call(Function.MIN, List.of(one, other));
    }
}
