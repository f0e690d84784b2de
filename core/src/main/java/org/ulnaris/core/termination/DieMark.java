package org.ulnaris.core.termination;

import java.util.Objects;

/**
 * The mark by which lugs and dies that belong together are known.
 *
 * @param system the standard or the maker's series: marks of two series have nothing to do with one another
 * @param index what is printed on the lug and pressed by the dies
 */
public record DieMark(String system, String index) {
    public DieMark {
        Objects.requireNonNull(system, "system");
        Objects.requireNonNull(index, "index");
        if (system.isBlank() || index.isBlank()) {
            throw new IllegalArgumentException("a mark needs its series and its index");
        }
    }
}
