package org.ulnaris.core.crimp;

/** The form that a pair of dies closes to. */
public enum DieShape {
    /** Regular hexagon: heavy tube lugs and splices. */
    HEX(Math.sqrt(3) / 2, 2 / Math.sqrt(3)),
    /** Square: wire-end ferrules. */
    SQUARE(1, Math.sqrt(2)),
    /** Oval, {@value #OVAL_RATIO} times as wide as high (ours): insulated terminals. */
    OVAL(Math.PI / 4 * DieShape.OVAL_RATIO, DieShape.OVAL_RATIO);

    /** Width ÷ height of an oval. */
    static final double OVAL_RATIO = 1.4;

    private final double areaFactor;
    private final double widestFactor;

    DieShape(double areaFactor, double widestFactor) {
        this.areaFactor = areaFactor;
        this.widestFactor = widestFactor;
    }

    /** Area ÷ the square of the width across flats. */
    public double areaFactor() {
        return areaFactor;
    }

    /** Greatest width ÷ width across flats. */
    public double widestFactor() {
        return widestFactor;
    }

    /** Whether it presses tube lugs. */
    public boolean forLugs() {
        return this == HEX;
    }
}
