package org.ulnaris.core.measure;

/** What a quantity measures. Each has one SI unit in which {@link Quantity} keeps its value. */
public enum Dimension {
    LENGTH("m", "1.02 m, 340 mm, 3 ft 4 in or 1 1/2 in"),
    CURRENT("A", "180 A"),
    VOLTAGE("V", "24 V"),
    POWER("W", "3000 W or 3 kW"),
    RESISTANCE("Ω", "0.3 mΩ"),
    CHARGE("A·s", "100 Ah"),
    TEMPERATURE("K", "30 °C or 86 °F"),
    TORQUE("N·m", "14 N·m, 124 lbf·in or 20 lbf·ft"),
    FORCE("N", "800 N, 180 lbf or 82 kg"),
    RATIO("1", "3 %"),
    ANGLE("°", "90°"),
    TIME("s", "60 s");

    private final String siSymbol;
    private final String example;

    Dimension(String siSymbol, String example) {
        this.siSymbol = siSymbol;
        this.example = example;
    }

    /** Symbol of the unit in which the value is kept. */
    public String siSymbol() {
        return siSymbol;
    }

    /** An entry that is understood, for messages to the person. */
    public String example() {
        return example;
    }
}
