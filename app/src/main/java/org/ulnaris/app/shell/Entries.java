package org.ulnaris.app.shell;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Quantity;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Thousands;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.measure.Unit;

/**
 * Typed text of a form, read field by field. A field that is absent or faulty leaves the value that stands; every fault is
 * kept, so that all can be shown at once.
 */
public final class Entries {
    private static final int LONGEST_SHOWN = 80;

    private final Map<String, String> typed;
    private final Units units;
    private final Map<String, Fault> faults = new LinkedHashMap<>();

    public Entries(Map<String, String> typed, Units units) {
        this.typed = typed;
        this.units = units;
    }

    /** Faults by field, in reading order. */
    public Map<String, Fault> faults() {
        return faults;
    }

    public boolean clean() {
        return faults.isEmpty();
    }

    private @Nullable String typed(String name) {
        return typed.get(name);
    }

    /** Whether the field was sent at all. */
    public boolean present(String name) {
        return typed.containsKey(name);
    }

    /** Whether a field was sent empty. */
    public boolean blank(String name) {
        String text = typed(name);
        return text != null && text.isBlank();
    }

    /** Marks a field as faulty. */
    public void fault(String name, Fault.Code code, Object... parts) {
        String text = typed.getOrDefault(name, "");
        String shown = text.length() > LONGEST_SHOWN ? text.substring(0, LONGEST_SHOWN) + "…" : text;
        faults.putIfAbsent(name, Fault.of(code, shown, parts));
    }

    /** What a bare number means where {@code kept} is asked for. */
    public Unit bareUnit(Unit kept) {
        return units.likeOf(kept);
    }

    /** A quantity in {@code kept}; a bare number means the job's unit of that kind. */
    public double quantity(String name, Unit kept, Range range, double standing) {
        Double value = optionalQuantity(name, kept, range, standing);
        if (value == null) {
            fault(name, Fault.Code.EMPTY, example(kept, range));
            return standing;
        }
        return value;
    }

    /** A quantity that may be left empty: null. */
    public @Nullable Double optionalQuantity(String name, Unit kept, Range range, @Nullable Double standing) {
        String text = typed(name);
        if (text == null) {
            return standing;
        }
        if (text.isBlank()) {
            return null;
        }
        try {
            double value = Quantity.parse(text, units.likeOf(kept)).in(kept);
            double tidy = Figures.rounded(value, 12);
            if (range.contains(tidy)) {
                return tidy;
            }
            fault(name, outside(range), bound(range.above(), kept), bound(range.upTo(), kept));
        } catch (MeasureException e) {
            boolean either = e.reason() == MeasureException.Reason.THOUSANDS;
            fault(name, Fault.Code.valueOf(e.reason().name()), either ? e.example() : example(kept, range));
        }
        return standing;
    }

    /** A quantity that has to be said where nothing stands. */
    public @Nullable Double neededQuantity(String name, Unit kept, Range range, @Nullable Double standing) {
        Double value = optionalQuantity(name, kept, range, standing);
        if (value == null) {
            fault(name, Fault.Code.EMPTY, example(kept, range));
        }
        return value;
    }

    private static Fault.Code outside(Range range) {
        return range.closed() ? Fault.Code.OUT_OF_BOUNDS : Fault.Code.OUT_OF_RANGE;
    }

    private String bound(double value, Unit kept) {
        Unit shown = units.likeOf(kept);
        return Figures.significant(Quantity.of(value, kept).in(shown), 4) + " " + shown.symbol();
    }

    private Object example(Unit kept, Range range) {
        Unit shown = units.likeOf(kept);
        return switch (shown) {
            case FOOT -> Expected.of("length-ft");
            case M -> Expected.of("length-m");
            case MM -> Expected.of("length-mm");
            case INCH -> Expected.of("length-in");
            case NEWTON_METRE, POUND_FORCE_INCH -> Expected.of("torque");
            case CELSIUS, FAHRENHEIT -> Expected.of("temperature");
            case NEWTON, POUND_FORCE -> Expected.of("force");
            case SECOND -> "60 s";
            case AMPERE -> "180 A";
            case VOLT -> "24 V";
            case WATT, MILLIOHM, AMPERE_HOUR -> shown.dimension().example();
            default -> bound(Math.min(range.upTo(), Math.max(range.above() + 1, 3)), kept);
        };
    }

    /** A number without a unit; decimal point or comma. */
    public double number(String name, Range range, double standing) {
        String text = typed(name);
        if (text == null) {
            return standing;
        }
        if (eitherOf(name, text)) {
            return standing;
        }
        try {
            double value = Double.parseDouble(Typed.plain(text).replace(',', '.'));
            if (range.contains(value)) {
                return value;
            }
            fault(name, outside(range), Figures.significant(range.above(), 6), Figures.significant(range.upTo(), 6));
        } catch (NumberFormatException e) {
            fault(name, text.isBlank() ? Fault.Code.EMPTY : Fault.Code.NOT_A_NUMBER, "5");
        }
        return standing;
    }

    /** Whether a bare number may mean a thousand times as much; then that is asked. */
    private boolean eitherOf(String name, String text) {
        Optional<Thousands> either = Thousands.in(Typed.plain(text), null);
        either.ifPresent(both -> fault(name, Fault.Code.THOUSANDS, both.question()));
        return either.isPresent();
    }

    /** A number that may be left empty: null. */
    public @Nullable Double optionalNumber(String name, Range range, @Nullable Double standing) {
        if (typed(name) == null) {
            return standing;
        }
        if (blank(name)) {
            return null;
        }
        double read = number(name, range, 0);
        return faults.containsKey(name) ? standing : Double.valueOf(read);
    }

    /** A whole number. */
    public int count(String name, Range range, int standing) {
        String text = typed(name);
        if (text == null) {
            return standing;
        }
        if (eitherOf(name, text)) {
            return standing;
        }
        try {
            int value = Integer.parseInt(Typed.plain(text));
            if (range.contains(value)) {
                return value;
            }
            fault(name, outside(range), Figures.significant(range.above(), 6), Figures.significant(range.upTo(), 6));
        } catch (NumberFormatException e) {
            fault(name, text.isBlank() ? Fault.Code.EMPTY : Fault.Code.NOT_A_NUMBER, "2");
        }
        return standing;
    }

    /** A whole number that may be left empty: null. */
    public @Nullable Integer optionalCount(String name, Range range, @Nullable Integer standing) {
        if (typed(name) == null) {
            return standing;
        }
        if (blank(name)) {
            return null;
        }
        int read = count(name, range, 0);
        return faults.containsKey(name) ? standing : Integer.valueOf(read);
    }

    /** A line of {@linkplain CleanText clean} text, trimmed. */
    public String text(String name, int longest, boolean required, String standing) {
        String text = typed(name);
        if (text == null) {
            if (required && standing.isEmpty()) {
                fault(name, Fault.Code.EMPTY, Expected.of("text"));
            }
            return standing;
        }
        if (Typed.tooLong(text, longest)) {
            fault(name, Fault.Code.TOO_LONG, Integer.toString(longest));
            return standing;
        }
        String line = CleanText.line(text);
        if (line.isEmpty() && required) {
            fault(name, Fault.Code.EMPTY, Expected.of("text"));
            return standing;
        }
        return line;
    }

    /** Lines of text, each trimmed, the empty ones left out. */
    public List<String> lines(String name, int longest) {
        String text = typed.getOrDefault(name, "");
        if (text.length() > longest) {
            fault(name, Fault.Code.TOO_LONG, Integer.toString(longest));
            return List.of();
        }
        return text.lines().map(CleanText::line).filter(line -> !line.isEmpty()).toList();
    }

    /** A day as 2026-05-04; empty: null. */
    public @Nullable LocalDate optionalDate(String name, @Nullable LocalDate standing) {
        String text = typed(name);
        if (text == null) {
            return standing;
        }
        if (text.isBlank()) {
            return null;
        }
        try {
            LocalDate day = LocalDate.parse(Typed.plain(text));
            if (day.getYear() >= 1990 && day.getYear() <= 2100) {
                return day;
            }
            fault(name, Fault.Code.OUT_OF_BOUNDS, "1990-01-01", "2100-12-31");
        } catch (DateTimeParseException e) {
            fault(name, Fault.Code.NOT_A_NUMBER, "2026-05-04");
        }
        return standing;
    }

    /** One of the constants of {@code type}. */
    public <E extends Enum<E>> E choice(String name, Class<E> type, E standing) {
        String text = typed(name);
        if (text == null) {
            return standing;
        }
        String key = text.strip().toUpperCase(Locale.ROOT).replace('-', '_').replace(' ', '_');
        E[] constants = type.getEnumConstants();
        for (E constant : constants) {
            if (constant.name().equals(key)) {
                return constant;
            }
        }
        fault(
                name,
                Fault.Code.UNKNOWN_CHOICE,
                Arrays.stream(constants).map(Enum::name).collect(Collectors.joining(", ")));
        return standing;
    }

    /** One of the constants of {@code type}; empty: null. */
    public <E extends Enum<E>> @Nullable E optionalChoice(String name, Class<E> type, @Nullable E standing) {
        if (typed(name) == null) {
            return standing;
        }
        if (blank(name)) {
            return null;
        }
        E read = choice(name, type, type.getEnumConstants()[0]);
        return faults.containsKey(name) ? standing : read;
    }

    /** A check box: its hidden twin {@code _name} tells an unchecked box from an absent one. */
    public boolean flag(String name, boolean standing) {
        String text = typed(name);
        if (text == null) {
            return !typed.containsKey("_" + name) && standing;
        }
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "true", "yes", "y", "1", "on", "x" -> true;
            case "false", "no", "n", "0", "off", "" -> false;
            default -> {
                fault(name, Fault.Code.UNKNOWN_CHOICE, Expected.of("yes-no"));
                yield standing;
            }
        };
    }
}
