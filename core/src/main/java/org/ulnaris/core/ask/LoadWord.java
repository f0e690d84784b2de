package org.ulnaris.core.ask;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a cable feeds or is fed by, by the names that people give it (common practice). */
public enum LoadWord {
    /** Takes the same power whatever the voltage; its power is what it gives. */
    INVERTER("inverter", "converter"),
    /** Takes the same current. */
    MOTOR(
            "winch",
            "windlass",
            "capstan",
            "thruster",
            "motor",
            "pump",
            "compressor",
            "fan",
            "hoist",
            "lift",
            "actuator"),
    /** An engine's starter: its supply needs no fuse. */
    STARTER("starter"),
    /** Feeds the battery up to a current: what it gives at most flows the other way through the same cable and fuse. */
    CHARGER("charger", "solar", "regulator", "dcdc", "dc-dc", "mppt"),
    /** The same, driven by an engine. */
    ALTERNATOR("alternator", "dynamo"),
    /** A resistance. */
    HEATER("heater", "kettle", "stove"),
    /** Takes the same current. */
    ELECTRONICS("fridge", "freezer", "lights", "light", "lamp", "radio", "panel", "electronics", "load");

    private final List<String> words;

    LoadWord(String... words) {
        this.words = List.of(words);
    }

    public List<String> words() {
        return words;
    }

    /** Whether it feeds the battery. */
    public boolean charges() {
        return this == CHARGER || this == ALTERNATOR;
    }

    /** How long such a load may work at a time, as it is typed: an example (common practice). */
    public String exampleSpell() {
        return this == STARTER ? "10 s" : "2 min";
    }

    /** Whether it may work for a while and rest then. */
    public boolean rests() {
        return this == MOTOR || this == STARTER;
    }

    /** The kind that people call {@code word}, in small letters. */
    public static Optional<LoadWord> called(String word) {
        return Stream.of(values()).filter(kind -> kind.words.contains(word)).findFirst();
    }
}
