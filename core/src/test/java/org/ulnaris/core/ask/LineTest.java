package org.ulnaris.core.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.fastening.Stud;

class LineTest {
    /** What is said in any order and any of the units of the trade; 1 ft = 0.3048 m (NIST SP 811). */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "180 A 2.4 m 24 V; 180; ; 2.4; 24; ",
                "24V 180a 2,4m; 180; ; 2.4; 24; ",
                "3 kW 24 V 1,8 m 2 %; ; 3000; 1.8; 24; 2",
                "winch 5000 W 12v 14 ft 10%; ; 5000; 4.2672; 12; 10",
                "60 amps, 14 ft 6 in, 12 volts, 3 percent; 60; ; 4.4196; 12; 3",
                "14' 6\" 60 A; 60; ; 4.4196; ; ",
                "100A over 340 mm at 48 V; 100; ; 0.34; 48; ",
                "180\u202fA 2.4\u00a0m 24\u202fV; 180; ; 2.4; 24; ",
                "180 A 4.8 m loop 24 V; 180; ; 2.4; 24; ",
                "inverter 3 kVA 1 1/2 ft 24 V; ; 3000; 0.4572; 24; ",
                ".5 A 2 m; 0.5; ; 2; ; "
            })
    void readsWhatIsSaid(String text, Double current, Double power, Double length, Double volt, Double drop) {
        Said said = Line.read(text).said();
        is(said, Meaning.CURRENT, current);
        is(said, Meaning.POWER, power);
        is(said, Meaning.LENGTH, length);
        is(said, Meaning.VOLTAGE, volt);
        is(said, Meaning.DROP, drop);
        assertThat(said.sizable()).isTrue();
        assertThat(Line.read(text).words()).allMatch(word -> word.doubt() == Word.Doubt.NONE);
    }

    /** How long it works at a time is said of what may rest; of a load that works on it is not taken. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "winch 400 A 12 V 2 m 2 min; 120; NONE",
                "starter 300 A 1.5 m 10s; 10; NONE",
                "30 seconds thruster 3 kW 24 V 5 m; 30; NONE",
                "400 A 2 m 1,5 min 12 V; 90; NONE",
                "heater 400 W 12 V 3 m 2 min; ; WORKS_ON",
                "2 min inverter 2 kW 12 V 1 m; ; WORKS_ON",
                "winch 400 A 2 m 2 days; ; UNIT_MISSING",
                "winch 400 A 2 m 25 h; ; OUT_OF_RANGE"
            })
    void aTimeIsThatOfASpellOfWork(String text, Double seconds, Word.Doubt doubt) {
        Line line = Line.read(text);
        is(line.said(), Meaning.SPELL, seconds);
        assertThat(line.said().inSpells()).isEqualTo(seconds != null);
        assertThat(line.words().stream().map(Word::doubt).filter(other -> other != Word.Doubt.NONE))
                .allMatch(other -> other == doubt || other == Word.Doubt.UNKNOWN)
                .hasSize(doubt == Word.Doubt.NONE ? 0 : text.endsWith("days") ? 2 : 1);
    }

    private static void is(Said said, Meaning meaning, Double expected) {
        if (expected == null) {
            assertThat(said.figure(meaning)).as(meaning.name()).isEmpty();
        } else {
            assertThat(said.figure(meaning).orElseThrow()).as(meaning.name()).isCloseTo(expected, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "2/0 on M10; 2/0 AWG; M10",
                "70 mm² M8 M10; 70 mm²; M8 M10",
                "35mm2 on 5/16 in; 35 mm²; 5/16",
                "awg 2 to a 3/8\" stud; 2 AWG; 3/8",
                "00 m10; 2/0 AWG; M10",
                "6 AWG on #10; 6 AWG; #10"
            })
    void readsAnEnd(String text, String size, String studs) {
        Said said = Line.read(text).said();
        assertThat(said.endOnly()).isTrue();
        assertThat(said.size().map(ConductorSize::designation)).contains(size);
        assertThat(said.studs()).extracting(Stud::name).containsExactly(studs.split(" "));
    }

    /** Nothing is guessed: a bare number, an unknown word and what was said before stay as they were typed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "180 2.4 m; 180; UNIT_MISSING",
                "24 on M8; 24; UNIT_MISSING",
                "180 A frobnicator; frobnicator; UNKNOWN",
                "180 A 200 A; 200 A; SAID_BEFORE",
                "180 A 3 kW; 3 kW; SAID_BEFORE",
                "M6 M8 M10; M10; SAID_BEFORE",
                "9000 A; 9000 A; OUT_OF_RANGE",
                "0 m; 0 m; OUT_OF_RANGE",
                "33 mm²; 33 mm²; NO_SUCH_SIZE",
                "M7; M7; UNKNOWN",
                "14 Nm; 14 Nm; UNKNOWN",
                "180 A ½; ½; UNKNOWN",
                "1/0/0; /0; UNKNOWN"
            })
    void keepsWhatItDoesNotTake(String text, String word, Word.Doubt doubt) {
        Line line = Line.read(text);
        assertThat(line.words())
                .filteredOn(one -> one.doubt() != Word.Doubt.NONE)
                .extracting(Word::text, Word::doubt)
                .containsExactly(tuple(word, doubt));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", ",,,", "\u0000", "°", "''", "////", "1e400 A", "-5 A", "%%%", "½¼"})
    void neverBreaks(String text) {
        assertThat(Line.read(text.repeat(100_000 / (1 + text.length()))).said().sizable())
                .isFalse();
        Line line = Line.read(text);
        assertThat(line.said().sizable()).isFalse();
        assertThat(Offers.of(line)).hasSizeLessThanOrEqualTo(5);
    }

    /** Words lie in the line as they were typed, whatever it holds. */
    @Test
    void wordsStandWhereTheyWereTyped() {
        Random random = new Random(5);
        List<String> pieces = new ArrayList<>(List.of(
                "180 A",
                "2,4 m",
                "24 V",
                "3 %",
                "on",
                "M8",
                "2/0",
                "winch",
                "x1",
                "/",
                "30 °C",
                "5",
                "14 ft 6 in",
                "loop"));
        for (int round = 0; round < 500; round++) {
            Collections.shuffle(pieces, random);
            String text = String.join(random.nextBoolean() ? " " : ", ", pieces.subList(0, random.nextInt(8)));
            Line line = Line.read(text);
            int end = 0;
            for (Word word : line.words()) {
                assertThat(word.from()).isGreaterThanOrEqualTo(end);
                assertThat(line.text().substring(word.from())).startsWith(word.text());
                end = word.from() + word.text().length();
            }
        }
    }

    /** The order of words makes no difference where each is said once. */
    @Test
    void orderDoesNotMatter() {
        List<String> words = new ArrayList<>(List.of("180 A", "2.4 m", "24 V", "2 %", "inverter", "on M10"));
        for (int round = 0; round < 50; round++) {
            Collections.shuffle(words, new Random(round));
            Said said = Line.read(String.join(" ", words)).said();
            is(said, Meaning.CURRENT, 180.0);
            is(said, Meaning.LENGTH, 2.4);
            is(said, Meaning.VOLTAGE, 24.0);
            is(said, Meaning.DROP, 2.0);
            assertThat(said.load()).contains(LoadWord.INVERTER);
            assertThat(said.studs()).extracting(Stud::name).containsExactly("M10");
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "''; 100 A",
                "180; 180 A",
                "180 A; 180 A 1 m",
                "180 A 2 m; 180 A 2 m 12 V",
                "180 A 2 m 24 V; 180 A 2 m 24 V on M8",
                "2/0; 2/0 on M8",
                "winch 400 A 2 m 12 V; winch 400 A 2 m 12 V 2 min",
                "starter 400 A 2 m 12 V; starter 400 A 2 m 12 V 10 s",
                "12 V win; 12 V winch"
            })
    void offersHowToGoOn(String text, String first) {
        assertThat(Offers.of(Line.read(text)).get(0).line()).isEqualTo(first);
        assertThat(Offers.of(Line.read(text)))
                .allSatisfy(offer -> assertThat(Line.read(offer.line()).words())
                        .noneMatch(word -> word.doubt() == Word.Doubt.UNKNOWN));
    }
}
