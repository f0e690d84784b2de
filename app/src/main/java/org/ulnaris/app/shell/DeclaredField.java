package org.ulnaris.app.shell;

import java.util.List;

/**
 * A declared field as a form shows it.
 *
 * @param hint what stands where nothing is typed: what is taken then, or an example
 */
public record DeclaredField(
        String key,
        FieldKind.Form form,
        boolean mayBeEmpty,
        List<? extends Enum<?>> options,
        String label,
        String hint) {
    /** The field {@code key}; {@code taken} is what holds while nothing is said, where that is known. */
    public static DeclaredField of(String key, FieldKind kind, String taken, Words words) {
        String hint = taken.isEmpty() ? words.find("example." + key).orElse("") : taken;
        return new DeclaredField(key, kind.form(), kind.mayBeEmpty(), kind.options(), words.field(key), hint);
    }
}
