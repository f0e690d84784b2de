package org.ulnaris.app.shell;

import java.util.List;

/**
 * A page of a long list.
 *
 * @param items what stands on it
 * @param number from 1; one that is not there is the last
 * @param pages how many there are, at least one
 */
public record Paged<T>(List<T> items, int number, int pages) {
    /**
     * A page of {@code all}.
     *
     * @param asked its number as it was asked for; what is no number is the first
     * @param length how many stand on a page
     */
    public static <T> Paged<T> of(List<T> all, String asked, int length) {
        int pages = Math.max(1, (all.size() + length - 1) / length);
        int number = asked.matches("\\d{1,6}") ? Math.min(Math.max(1, Integer.parseInt(asked)), pages) : 1;
        return new Paged<>(
                all.stream().skip((long) (number - 1) * length).limit(length).toList(), number, pages);
    }
}
