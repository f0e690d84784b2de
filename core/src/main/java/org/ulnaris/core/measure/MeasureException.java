package org.ulnaris.core.measure;

/** An entry that can't be read as the quantity expected, with the reason as a code: words belong to the interface. */
public final class MeasureException extends IllegalArgumentException {
    /** Why the entry was refused. */
    public enum Reason {
        EMPTY,
        NOT_A_NUMBER,
        UNKNOWN_UNIT,
        OTHER_DIMENSION,
        UNKNOWN_SIZE,
        /** A mark that may part thousands; the example is both figures. */
        THOUSANDS
    }

    private static final long serialVersionUID = 1L;

    private final Reason reason;
    private final String typed;
    private final String example;

    public MeasureException(Reason reason, String typed, Dimension expected) {
        this(reason, typed, expected.example());
    }

    public MeasureException(Reason reason, String typed, String example) {
        super(reason + ": '" + typed + "'; expected for example " + example);
        this.reason = reason;
        this.typed = typed;
        this.example = example;
    }

    public Reason reason() {
        return reason;
    }

    /** What the person wrote. */
    public String typed() {
        return typed;
    }

    /** An entry that would have been understood. */
    public String example() {
        return example;
    }
}
