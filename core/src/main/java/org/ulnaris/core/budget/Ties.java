package org.ulnaris.core.budget;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Which cables of a job share a size: a plus and its return, told by their tags. */
public final class Ties {
    private static final String SIGN = "[+−-]$";

    private Ties() {}

    /** By tag the name that "INV+" and "INV−" share, of those of which there are two. */
    public static Map<String, String> ofPairs(Collection<String> tags) {
        Map<String, List<String>> byStem =
                tags.stream().filter(tag -> !stem(tag).equals(tag)).collect(Collectors.groupingBy(Ties::stem));
        Map<String, String> ties = new HashMap<>();
        byStem.forEach((stem, pair) -> {
            if (pair.size() == 2) {
                pair.forEach(tag -> ties.put(tag, stem + "±"));
            }
        });
        return ties;
    }

    /** A tag without its sign: that of "INV+" and of "INV−" is "INV". */
    public static String stem(String tag) {
        return tag.replaceFirst(SIGN, "");
    }
}
