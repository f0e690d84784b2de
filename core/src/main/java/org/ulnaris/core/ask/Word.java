package org.ulnaris.core.ask;

import java.util.Objects;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Quantity;
import org.ulnaris.core.measure.Unit;

/**
 * A word of the line as it was understood.
 *
 * @param from where it begins
 * @param text as it was typed
 * @param meaning what it stands for
 * @param figure its figure in the unit of its meaning; 0 where it has none
 * @param name the stud, size or load that it names; empty where it names none
 * @param doubt why it is not taken; {@link Doubt#NONE} where it is
 */
public record Word(int from, String text, Meaning meaning, double figure, String name, Doubt doubt) {
    /** Why a word is not taken. */
    public enum Doubt {
        NONE,
        /** A bare number: of what? */
        UNIT_MISSING,
        /** No word of the trade that is known here. */
        UNKNOWN,
        /** Something of the kind was said before in the line. */
        SAID_BEFORE,
        /** A figure that no cable of this trade has. */
        OUT_OF_RANGE,
        /** A time beside a load that is taken to work for good. */
        WORKS_ON,
        /** A mark that may part thousands: the name holds both figures. */
        THOUSANDS,
        /** Millimetres that may be square millimetres. */
        MM_OR_MM2,
        /** Alternating current is not planned here. */
        AC,
        /** Cables side by side are planned in a job. */
        PARALLEL,
        /** Solar strings are planned in a job. */
        STRINGS,
        /** The voltage of a solar array, not of the battery. */
        ARRAY_VOLTAGE,
        /** Several loads: a line is one cable. */
        ONE_LOAD,
        /** A duty without a time: how long does it run? */
        DUTY,
        /** What a shaft gives: the motor draws more. */
        SHAFT_POWER,
        /** No such size is kept here. */
        NO_SUCH_SIZE,
        /** From battery to battery: planned in a job. */
        LINK
    }

    public Word {
        Objects.requireNonNull(text, "text");
        Objects.requireNonNull(meaning, "meaning");
        Objects.requireNonNull(doubt, "doubt");
    }

    static Word figure(Typed typed, Meaning meaning, double figure) {
        Doubt doubt =
                meaning.range().map(range -> range.contains(figure)).orElse(true) ? Doubt.NONE : Doubt.OUT_OF_RANGE;
        return new Word(typed.from(), typed.text(), meaning, figure, "", doubt);
    }

    /** A figure that was written without its unit, which {@code unit} gives. */
    static Word read(Typed typed, Meaning meaning, String number, Unit unit) {
        try {
            return figure(
                    typed,
                    meaning,
                    Quantity.parse(number, unit).in(meaning.unit().orElseThrow()));
        } catch (MeasureException e) {
            return asked(typed, e);
        }
    }

    /** A figure that can't be read; where it may mean a thousand times as much, with both. */
    static Word asked(Typed typed, MeasureException e) {
        return e.reason() == MeasureException.Reason.THOUSANDS
                ? new Word(typed.from(), typed.text(), Meaning.UNKNOWN, 0, e.example(), Doubt.THOUSANDS)
                : doubtful(typed, Doubt.UNKNOWN);
    }

    static Word named(Typed typed, Meaning meaning, String name) {
        return new Word(typed.from(), typed.text(), meaning, 0, name, Doubt.NONE);
    }

    static Word doubtful(Typed typed, Doubt doubt) {
        return new Word(typed.from(), typed.text(), Meaning.UNKNOWN, 0, "", doubt);
    }

    /** A piece of the line. */
    record Typed(int from, String text) {}

    /** The same word, not taken. */
    Word doubted(Doubt other) {
        return new Word(from, text, meaning, figure, name, other);
    }

    public boolean taken() {
        return doubt == Doubt.NONE && meaning != Meaning.JOINING;
    }
}
