package org.ulnaris.app.shell;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;

/**
 * How a field is entered, read from text and told as text.
 *
 * @param form how it stands in a form
 * @param mayBeEmpty whether nothing need be said
 * @param options what can be chosen; empty where that is not its form
 * @param reading from what was typed
 * @param telling as text that can be read again
 */
public record FieldKind(
        Form form, boolean mayBeEmpty, List<? extends Enum<?>> options, Reading reading, Telling telling) {
    /** How a field stands in a form. */
    public enum Form {
        LINE,
        CHOICE,
        TICK
    }

    /** Reads the field {@code name} over the value that stands; faults stay in the entries. */
    @FunctionalInterface
    public interface Reading {
        @Nullable
        Object of(Entries entries, String name, @Nullable Object standing);
    }

    /** A value as text. */
    @FunctionalInterface
    public interface Telling {
        String of(@Nullable Object value, Fmt fmt);
    }

    private static FieldKind line(boolean mayBeEmpty, Reading reading, Telling telling) {
        return new FieldKind(Form.LINE, mayBeEmpty, List.of(), reading, telling);
    }

    /** A line of text. */
    public static FieldKind text(int longest, boolean required) {
        return line(
                !required,
                (entries, name, standing) -> entries.text(name, longest, required, text(standing)),
                (value, fmt) -> text(value));
    }

    /** A line of text, or nothing. */
    public static FieldKind optionalText(int longest) {
        return line(
                true,
                (entries, name, standing) -> {
                    String text = entries.text(name, longest, false, text(standing));
                    return text.isEmpty() ? null : text;
                },
                (value, fmt) -> text(value));
    }

    /**
     * The name of something on a list.
     *
     * @param known the name as it is kept, of one that was typed
     * @param all names of all
     */
    public static FieldKind listed(
            int longest, boolean required, Function<String, Optional<String>> known, Supplier<List<String>> all) {
        return line(
                !required,
                (entries, name, standing) -> {
                    String text = entries.text(name, longest, required, text(standing));
                    Optional<String> found = known.apply(text);
                    if (found.isEmpty() && !text.isEmpty()) {
                        entries.fault(name, Fault.Code.UNKNOWN_CHOICE, String.join(", ", all.get()));
                    }
                    return found.orElse(text.isEmpty() ? "" : text(standing));
                },
                (value, fmt) -> text(value));
    }

    /** A line that can be read only with other fields; nothing need be said. */
    public static FieldKind readWithOthers() {
        return line(true, (entries, name, standing) -> standing, (value, fmt) -> text(value));
    }

    private static String text(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }

    /** A quantity that has to be said. */
    public static FieldKind quantity(Unit unit, Range range) {
        return line(
                false,
                (entries, name, standing) -> entries.quantity(name, unit, range, requireNonNull((Double) standing)),
                (value, fmt) -> fmt.entry((Double) value, unit));
    }

    /** A quantity that has to be said, of which nothing may stand yet. */
    public static FieldKind neededQuantity(Unit unit, Range range) {
        return line(
                false,
                (entries, name, standing) -> entries.neededQuantity(name, unit, range, (Double) standing),
                (value, fmt) -> fmt.entry((Double) value, unit));
    }

    /** A quantity of which nothing need be said. */
    public static FieldKind optionalQuantity(Unit unit, Range range) {
        return line(
                true,
                (entries, name, standing) -> entries.optionalQuantity(name, unit, range, (Double) standing),
                (value, fmt) -> fmt.entry((Double) value, unit));
    }

    /** A whole number. */
    public static FieldKind count(Range range) {
        return line(
                false,
                (entries, name, standing) -> entries.count(name, range, requireNonNull((Integer) standing)),
                (value, fmt) -> text(value));
    }

    /** A whole number, or nothing. */
    public static FieldKind optionalCount(Range range) {
        return line(
                true,
                (entries, name, standing) -> entries.optionalCount(name, range, (Integer) standing),
                (value, fmt) -> text(value));
    }

    /** A number without a unit. */
    public static FieldKind number(Range range) {
        return line(
                false,
                (entries, name, standing) -> entries.number(name, range, requireNonNull((Double) standing)),
                (value, fmt) -> Figures.significant(requireNonNull((Double) value), 6));
    }

    /** A number without a unit, or nothing. */
    public static FieldKind optionalNumber(Range range) {
        return line(
                true,
                (entries, name, standing) -> entries.optionalNumber(name, range, (Double) standing),
                (value, fmt) -> value == null ? "" : Figures.significant((Double) value, 6));
    }

    /** A day, or nothing. */
    public static FieldKind optionalDay() {
        return line(
                true,
                (entries, name, standing) -> entries.optionalDate(name, (LocalDate) standing),
                (value, fmt) -> text(value));
    }

    /** Yes or no. */
    public static FieldKind flag() {
        return new FieldKind(
                Form.TICK,
                false,
                List.of(),
                (entries, name, standing) -> entries.flag(name, requireNonNull((Boolean) standing)),
                (value, fmt) -> text(value));
    }

    /** One of the constants of {@code type}. */
    public static <E extends Enum<E>> FieldKind choice(Class<E> type) {
        return new FieldKind(
                Form.CHOICE,
                false,
                List.of(type.getEnumConstants()),
                (entries, name, standing) -> entries.choice(name, type, type.cast(requireNonNull(standing))),
                (value, fmt) -> name(value));
    }

    /** One of the constants of {@code type}, or nothing. */
    public static <E extends Enum<E>> FieldKind optionalChoice(Class<E> type) {
        return new FieldKind(
                Form.CHOICE,
                true,
                List.of(type.getEnumConstants()),
                (entries, name, standing) ->
                        entries.optionalChoice(name, type, standing == null ? null : type.cast(standing)),
                (value, fmt) -> name(value));
    }

    /** The same with {@code first} where nothing stands. */
    public FieldKind starting(Object first) {
        return new FieldKind(
                form,
                mayBeEmpty,
                options,
                (entries, name, standing) -> reading.of(entries, name, standing == null ? first : standing),
                (value, fmt) -> telling.of(value == null ? first : value, fmt));
    }

    /** The same where {@code nothing} is kept while nothing was said. */
    public FieldKind without(Object nothing) {
        return told((value, fmt) -> nothing.equals(value) ? "" : telling.of(value, fmt));
    }

    /** The same, read only while no text stands. */
    public FieldKind onlyOnce() {
        return new FieldKind(
                form,
                mayBeEmpty,
                options,
                (entries, name, standing) -> text(standing).isEmpty() ? reading.of(entries, name, standing) : standing,
                telling);
    }

    /** The same, told in another way. */
    public FieldKind told(Telling other) {
        return new FieldKind(form, mayBeEmpty, options, reading, other);
    }

    private static String name(@Nullable Object constant) {
        return constant instanceof Enum<?> one ? one.name() : "";
    }
}
