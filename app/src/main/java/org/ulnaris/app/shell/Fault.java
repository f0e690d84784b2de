package org.ulnaris.app.shell;

import java.util.List;

/**
 * What is wrong with an entry, as a code with parts; the words are in the message bundle under {@code fault.<code>}.
 *
 * @param code what is wrong
 * @param typed what the person wrote
 * @param parts limits and examples, those that are words as {@link Expected}
 */
public record Fault(Code code, String typed, List<Object> parts) {
    /** Kinds of fault. */
    public enum Code {
        EMPTY,
        NOT_A_NUMBER,
        UNKNOWN_UNIT,
        OTHER_DIMENSION,
        UNKNOWN_SIZE,
        THOUSANDS,
        OUT_OF_RANGE,
        OUT_OF_BOUNDS,
        TOO_LONG,
        UNKNOWN_CHOICE,
        TAKEN,
        MEANWHILE,
        CONTRADICTS
    }

    public static Fault of(Code code, String typed, Object... parts) {
        return new Fault(code, typed, List.of(parts));
    }
}
