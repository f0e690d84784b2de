package org.ulnaris.core.ask;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;

/** What the words of a line say together. */
public final class Said {
    private final List<Word> taken;

    Said(List<Word> words) {
        this.taken = words.stream().filter(Word::taken).toList();
    }

    /** The figure of {@code meaning} in its unit; of a length the way one way. Empty where the line does not say. */
    public OptionalDouble figure(Meaning meaning) {
        OptionalDouble said = taken.stream()
                .filter(word -> word.meaning() == meaning)
                .mapToDouble(Word::figure)
                .findFirst();
        return meaning == Meaning.LENGTH && loop() && said.isPresent()
                ? OptionalDouble.of(said.getAsDouble() / 2)
                : said;
    }

    /** What the loop may lose, %, said in percent or in volts. */
    public OptionalDouble dropPercent(double nominalV) {
        OptionalDouble volts = figure(Meaning.DROP_V);
        return volts.isPresent() ? OptionalDouble.of(100 * volts.getAsDouble() / nominalV) : figure(Meaning.DROP);
    }

    /** What a phrase names: a kind of battery, of insulation, of strands. Empty where the line does not say. */
    public Optional<String> named(Meaning meaning) {
        return names(meaning).stream().findFirst();
    }

    /** Whether the line says it. */
    public boolean says(Meaning meaning) {
        return has(meaning);
    }

    /** Whether the length that was said is that of the loop, out and back. */
    public boolean loop() {
        return has(Meaning.LOOP);
    }

    private boolean has(Meaning meaning) {
        return taken.stream().anyMatch(word -> word.meaning() == meaning);
    }

    private List<String> names(Meaning meaning) {
        return taken.stream()
                .filter(word -> word.meaning() == meaning)
                .map(Word::name)
                .toList();
    }

    /** The studs of both ends, that of the A end first; one is that of both, none where nobody said. */
    public List<Stud> studs() {
        return names(Meaning.STUD).stream()
                .flatMap(name -> Studs.named(name).stream())
                .toList();
    }

    /** The size chosen by hand. */
    public Optional<ConductorSize> size() {
        return names(Meaning.SIZE).stream().findFirst().flatMap(ConductorSizes::designated);
    }

    /** What the cable feeds. */
    public Optional<LoadWord> load() {
        return names(Meaning.LOAD).stream().findFirst().map(LoadWord::valueOf);
    }

    /** What the load was called; empty where nobody said. */
    public String loadName() {
        return taken.stream()
                .filter(word -> word.meaning() == Meaning.LOAD)
                .map(Word::text)
                .findFirst()
                .orElse("");
    }

    /** Whether what it feeds works for a while and rests then. */
    public boolean inSpells() {
        return has(Meaning.SPELL) && flows();
    }

    /** Whether what it feeds may rest, and nobody said for how long it works. */
    public boolean mayRest() {
        return load().filter(LoadWord::rests).isPresent() && !has(Meaning.SPELL);
    }

    /** Whether the lengths and sizes are those of inches and gauges. */
    public boolean inches() {
        return taken.stream()
                .anyMatch(word -> word.meaning() == Meaning.SIZE && word.name().endsWith("AWG")
                        || word.meaning() == Meaning.LENGTH && word.text().matches(".*(?i:[f'\"′″i]).*"));
    }

    /** Whether it says what flows. */
    public boolean flows() {
        return has(Meaning.CURRENT) || has(Meaning.POWER);
    }

    /** Whether it says enough for a size: what flows and how far. */
    public boolean sizable() {
        return flows() && has(Meaning.LENGTH);
    }

    /** Whether it says nothing of a circuit, but which cable ends on which stud. */
    public boolean endOnly() {
        return has(Meaning.SIZE) && !flows();
    }
}
