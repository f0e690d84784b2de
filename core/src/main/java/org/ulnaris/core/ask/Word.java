package org.ulnaris.core.ask;

import java.util.Objects;

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
        WORKS_ON
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
