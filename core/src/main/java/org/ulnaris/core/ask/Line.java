package org.ulnaris.core.ask;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.measure.Dimension;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Quantity;
import org.ulnaris.core.measure.Thousands;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.measure.Unit;

/**
 * One line about a cable, read word by word: {@code 180 A 2.4 m 24 V}, {@code 3 kW 24 V 1,8 m 2 %}, {@code winch 5000 W 12v 14 ft 10%},
 * {@code 2/0 on M10}. In any order, units mixed; what is not understood is kept as it was typed and not taken.
 *
 * @param text the line, in plain spaces
 * @param words its words in their order
 */
public record Line(String text, List<Word> words) {
    /** Longer lines are cut off: no cable takes more words. */
    public static final int LONGEST = 160;

    private static final int MOST_STUDS = 2;
    private static final String NUMBER =
            "\\d+\\s+\\d+/[1-9]\\d*|\\d+/[1-9]\\d*|\\d+(?:,\\d{3})+(?!\\d)|\\d+(?:[.,]\\d+)?|[.,]\\d+";
    private static final Pattern GAP = Pattern.compile("[\\s,;@]+");
    private static final Pattern STUD = Pattern.compile(
            "(?:m\\s?\\d{1,2}|#\\s?\\d{1,2}(?!\\s+(?:on|to)\\s))(?![\\p{L}\\d])", Pattern.CASE_INSENSITIVE);
    private static final Pattern INCH_STUD =
            Pattern.compile("(\\d/\\d{1,2})(?:\\s*(?:inch|in|\"|″))?(?![\\p{L}\\d/])", Pattern.CASE_INSENSITIVE);
    private static final Pattern SIZE = Pattern.compile(
            "\\d/0(?:\\s*awg)?|0{2,4}(?:\\s*awg)?|[1-4]\\s*aught|\\d{1,2}\\s*(?:awg|gauge|ga)|awg\\s*\\d{1,2}(?:/0)?"
                    + "|(?:#|no\\.?)\\s?\\d{1,2}(?:/0)?|\\d+(?:[.,]\\d+)?\\s*(?:mm²|mm2|mm\\^2|mmq|sq\\.?\\s?mm|qmm|²)",
            Pattern.CASE_INSENSITIVE);
    /** Metres and centimetres in one word: 1m80. */
    private static final Pattern METRES = Pattern.compile("(\\d+)m(\\d{2})(?![\\p{L}\\d])");

    private static final Pattern MILLIMETRES = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*mm", Pattern.CASE_INSENSITIVE);
    /** A length in millimetres up to this is taken for an area that lost its square, mm. */
    private static final double LARGEST_AREA = 95;

    private static final Set<Double> BATTERY_V = Set.of(6.0, 12.0, 24.0, 32.0, 36.0, 48.0);
    private static final Pattern FIGURE =
            Pattern.compile("(?<number>" + NUMBER + ")\\s*(?<unit>[\\p{L}°%\"'″′℃℉]+(?:/[\\p{L}]+)?)?");
    private static final Pattern INCHES =
            Pattern.compile("\\s*(?:" + NUMBER + ")\\s*(?:inches|inch|in|\"|″)(?!\\p{L})", Pattern.CASE_INSENSITIVE);
    private static final Pattern LETTERS = Pattern.compile("[\\p{L}][\\p{L}-]*");
    private static final Pattern REST = Pattern.compile("[^\\s,;@]+");
    /** Words that change no answer, whatever they say. */
    private static final Set<String> JOINING = Set.of(
            "on", "at", "to", "and", "over", "of", "for", "with", "from", "the", "a", "an", "cable", "wire", "run",
            "drop", "length", "long", "stud", "studs", "system", "air", "ambient", "battery", "bank", "lug", "lugs",
            "in");

    public Line {
        words = List.copyOf(words);
    }

    /** Reads what was typed. */
    public static Line read(String typed) {
        String plain = Typed.plain(typed.substring(0, Math.min(typed.length(), LONGEST)));
        List<Word> words = new ArrayList<>();
        int at = 0;
        while (at < plain.length()) {
            Matcher gap = at(GAP, plain, at);
            if (gap.lookingAt()) {
                at = gap.end();
                continue;
            }
            Word word = word(plain, at);
            words.add(word);
            at += word.text().length();
        }
        return new Line(plain, spells(once(arrays(areas(words)))));
    }

    /** The same without a word of how long what it feeds works. */
    public Line forGood() {
        return new Line(
                text,
                words.stream().filter(word -> word.meaning() != Meaning.SPELL).toList());
    }

    /** Whether it asks for what is not planned here: alternating current. */
    public boolean refused() {
        return words.stream().anyMatch(word -> word.doubt() == Word.Doubt.AC);
    }

    /** What the line says. */
    public Said said() {
        return new Said(words);
    }

    private static Matcher at(Pattern pattern, String line, int at) {
        return pattern.matcher(line).region(at, line.length()).useTransparentBounds(true);
    }

    private static Word word(String line, int at) {
        return phrase(line, at)
                .or(() -> stud(STUD, line, at))
                .or(() -> size(line, at))
                .or(() -> noStud(line, at))
                .or(() -> metres(line, at))
                .or(() -> stud(INCH_STUD, line, at))
                .or(() -> figure(line, at))
                .or(() -> letters(line, at))
                .orElseGet(() -> {
                    Matcher rest = at(REST, line, at);
                    return Word.doubtful(
                            rest.lookingAt() ? typed(rest) : new Word.Typed(at, line.substring(at)),
                            Word.Doubt.UNKNOWN);
                });
    }

    private static Optional<Word> phrase(String line, int at) {
        return Phrase.ALL.stream()
                .flatMap(phrase -> phrase.read(line, at).stream())
                .findFirst();
    }

    private static Optional<Word> metres(String line, int at) {
        Matcher matcher = at(METRES, line, at);
        return matcher.lookingAt()
                ? Optional.of(Word.figure(
                        typed(matcher), Meaning.LENGTH, Double.parseDouble(matcher.group(1) + "." + matcher.group(2))))
                : Optional.empty();
    }

    private static Word.Typed typed(Matcher matcher) {
        return new Word.Typed(matcher.start(), matcher.group());
    }

    private static Optional<Word> stud(Pattern pattern, String line, int at) {
        Matcher matcher = at(pattern, line, at);
        return matcher.lookingAt()
                ? Studs.named(matcher.group().replaceAll("(?<=[mM#])\\s", ""))
                        .map(stud -> Word.named(typed(matcher), Meaning.STUD, stud.name()))
                : Optional.empty();
    }

    /** Written like a stud, but there is none such. */
    private static Optional<Word> noStud(String line, int at) {
        Matcher matcher = at(STUD, line, at);
        return matcher.lookingAt() ? Optional.of(Word.doubtful(typed(matcher), Word.Doubt.UNKNOWN)) : Optional.empty();
    }

    private static Optional<Word> size(String line, int at) {
        Matcher matcher = at(SIZE, line, at);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String text = matcher.group()
                .replace("^", "")
                .replaceAll("(?i)sq\\.?\\s?mm|(?<!mm)²", "mm²")
                .replaceAll("(?i)\\s*aught", "/0")
                .replaceAll("(?i)^(?:#|no\\.?)\\s?", "");
        try {
            ConductorSize size =
                    ConductorSizes.parse(text, text.matches("(?i).*mm.*|.*qmm.*") ? SizeSeries.METRIC : SizeSeries.AWG);
            return Optional.of(Word.named(typed(matcher), Meaning.SIZE, size.designation()));
        } catch (MeasureException noSuchSize) {
            return Optional.of(Word.doubtful(typed(matcher), Word.Doubt.NO_SUCH_SIZE));
        }
    }

    private static Optional<Word> figure(String line, int at) {
        Matcher matcher = at(FIGURE, line, at);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        Optional<Unit> unit = Optional.ofNullable(matcher.group("unit")).flatMap(Unit::named);
        if (unit.isEmpty()) {
            Word.Typed number = new Word.Typed(at, matcher.group("number"));
            return Optional.of(Thousands.in(number.text(), null)
                    .map(either -> new Word(
                            number.from(), number.text(), Meaning.UNKNOWN, 0, either.question(), Word.Doubt.THOUSANDS))
                    .orElseGet(() -> Word.doubtful(number, Word.Doubt.UNIT_MISSING)));
        }
        int end = matcher.end();
        Matcher inches = at(INCHES, line, end);
        if (unit.get() == Unit.FOOT && inches.lookingAt()) {
            end = inches.end();
        }
        Word.Typed typed = new Word.Typed(at, line.substring(at, end));
        return Optional.of(meaning(unit.get().dimension())
                .map(meaning -> quantity(typed, meaning, unit.get()))
                .orElseGet(() -> Word.doubtful(typed, Word.Doubt.UNKNOWN)));
    }

    private static Word quantity(Word.Typed typed, Meaning meaning, Unit unit) {
        try {
            return Word.figure(
                    typed,
                    meaning,
                    Quantity.parse(typed.text(), unit).in(meaning.unit().orElseThrow()));
        } catch (MeasureException e) {
            return Word.asked(typed, e);
        }
    }

    private static Optional<Meaning> meaning(Dimension dimension) {
        return Optional.ofNullable(
                switch (dimension) {
                    case CURRENT -> Meaning.CURRENT;
                    case POWER -> Meaning.POWER;
                    case LENGTH -> Meaning.LENGTH;
                    case VOLTAGE -> Meaning.VOLTAGE;
                    case RATIO -> Meaning.DROP;
                    case TEMPERATURE -> Meaning.AMBIENT;
                    case CHARGE -> Meaning.CAPACITY;
                    case TIME -> Meaning.SPELL;
                    default -> null;
                });
    }

    private static Optional<Word> letters(String line, int at) {
        Matcher matcher = at(LETTERS, line, at);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String word = matcher.group().toLowerCase(Locale.ROOT);
        if (JOINING.contains(word)) {
            return Optional.of(Word.named(typed(matcher), Meaning.JOINING, ""));
        }
        return Optional.of(LoadWord.called(word)
                .map(kind -> Word.named(typed(matcher), Meaning.LOAD, kind.name()))
                .orElseGet(() -> Word.doubtful(typed(matcher), Word.Doubt.UNKNOWN)));
    }

    /** Millimetres that a size has, beside another length or too short for a cable: was the square lost? */
    private static List<Word> areas(List<Word> words) {
        long lengths = words.stream()
                .filter(word -> word.taken() && word.meaning() == Meaning.LENGTH)
                .count();
        return words.stream()
                .map(word -> word.taken() && word.meaning() == Meaning.LENGTH && mayBeArea(word, lengths > 1)
                        ? word.doubted(Word.Doubt.MM_OR_MM2)
                        : word)
                .toList();
    }

    private static boolean mayBeArea(Word word, boolean another) {
        Matcher matcher = MILLIMETRES.matcher(word.text());
        return matcher.matches()
                && (another || 1000 * word.figure() <= LARGEST_AREA)
                && ConductorSizes.of(SizeSeries.METRIC).stream()
                        .anyMatch(size -> Math.abs(size.areaMm2() - 1000 * word.figure()) < 1e-9);
    }

    /** The voltage of a solar array is not that of the battery. */
    private static List<Word> arrays(List<Word> words) {
        boolean solar = words.stream()
                .anyMatch(word -> word.meaning() == Meaning.LOAD
                        && word.text().toLowerCase(Locale.ROOT).startsWith("solar"));
        return words.stream()
                .map(word ->
                        solar && word.taken() && word.meaning() == Meaning.VOLTAGE && !BATTERY_V.contains(word.figure())
                                ? word.doubted(Word.Doubt.ARRAY_VOLTAGE)
                                : word)
                .toList();
    }

    /** A time is taken where what works may rest. */
    private static List<Word> spells(List<Word> words) {
        boolean steady = new Said(words).load().filter(kind -> !kind.rests()).isPresent();
        return words.stream()
                .map(word -> steady && word.taken() && word.meaning() == Meaning.SPELL
                        ? word.doubted(Word.Doubt.WORKS_ON)
                        : word)
                .toList();
    }

    /** Of each kind the first word counts, of studs the first two; power beside a current says the same thing twice. */
    private static List<Word> once(List<Word> words) {
        Map<Meaning, Integer> seen = new EnumMap<>(Meaning.class);
        List<Word> all = new ArrayList<>();
        for (Word word : words) {
            Meaning kind = word.meaning() == Meaning.POWER ? Meaning.CURRENT : word.meaning();
            boolean counted = word.taken() && kind != Meaning.LOOP;
            int most = kind == Meaning.STUD ? MOST_STUDS : 1;
            all.add(counted && seen.merge(kind, 1, Integer::sum) > most ? word.doubted(Word.Doubt.SAID_BEFORE) : word);
        }
        return all;
    }
}
