package org.ulnaris.core.ask;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** How a line can go on. */
public final class Offers {
    private static final int MOST = 5;

    private static final int SHORTEST_SLIP = 4;
    private static final int MOST_SLIPS = 2;
    private static final LevenshteinDistance DISTANCE = LevenshteinDistance.getDefaultInstance();

    private Offers() {}

    /**
     * A way to go on.
     *
     * @param shown what is added
     * @param line the line with it
     */
    public record Offer(String shown, String line) {}

    /** Ways to go on with {@code line}, the most needed first. */
    public static List<Offer> of(Line line) {
        List<Offer> offers = new ArrayList<>();
        Word last =
                line.words().isEmpty() ? null : line.words().get(line.words().size() - 1);
        if (last != null && last.doubt() == Word.Doubt.UNIT_MISSING) {
            for (String unit : List.of("A", "W", "m", "V", "%")) {
                offers.add(new Offer(last.text() + " " + unit, upTo(line, last) + last.text() + " " + unit));
            }
            return offers;
        }
        line.words().forEach(word -> offers.addAll(meant(line, word)));
        if (!offers.isEmpty()) {
            return offers.subList(0, Math.min(MOST, offers.size()));
        }
        if (last != null
                && last.doubt() == Word.Doubt.UNKNOWN
                && last.from() + last.text().length() == line.text().length()) {
            String begun = last.text().toLowerCase(Locale.ROOT);
            Stream.of(LoadWord.values())
                    .flatMap(kind -> kind.words().stream())
                    .filter(word -> word.startsWith(begun))
                    .limit(MOST)
                    .forEach(word -> offers.add(new Offer(word, upTo(line, last) + word)));
            return offers;
        }
        for (String next : next(line.said())) {
            offers.add(new Offer(next, line.text().isEmpty() ? next : line.text() + " " + next));
        }
        return offers.subList(0, Math.min(MOST, offers.size()));
    }

    /** What a word that is asked back may mean: one figure or the other, an area, the word that it nearly is. */
    private static List<Offer> meant(Line line, Word word) {
        String after = line.text().substring(word.from() + word.text().length());
        List<String> ways = new ArrayList<>();
        switch (word.doubt()) {
            case THOUSANDS -> {
                String unit = word.text().replaceFirst("^[\\d.,]+", "");
                for (String figure : word.name().split(" / ")) {
                    ways.add(figure + unit);
                }
            }
            case MM_OR_MM2 -> ways.add(word.text() + "²");
            case UNKNOWN -> slip(word).ifPresent(ways::add);
            default -> {}
        }
        return ways.stream()
                .map(way -> new Offer(way, upTo(line, word) + way + after))
                .toList();
    }

    /** A word of the trade that differs by a letter or two. */
    private static Optional<String> slip(Word word) {
        String typed = word.text().toLowerCase(Locale.ROOT);
        return typed.length() < SHORTEST_SLIP
                ? Optional.empty()
                : Phrase.vocabulary().stream()
                        .filter(known -> !known.startsWith(typed) && DISTANCE.apply(known, typed) <= MOST_SLIPS)
                        .min(Comparator.comparingInt(known -> DISTANCE.apply(known, typed)));
    }

    private static String upTo(Line line, Word word) {
        return line.text().substring(0, word.from());
    }

    private static List<String> next(Said said) {
        List<String> next = new ArrayList<>();
        if (!said.flows() && said.size().isEmpty()) {
            next.addAll(List.of("100 A", "2 kW"));
        }
        if (said.flows() && said.figure(Meaning.LENGTH).isEmpty()) {
            next.addAll(List.of("1 m", "2 m", "5 m"));
        }
        if (said.flows() && said.figure(Meaning.VOLTAGE).isEmpty()) {
            next.addAll(List.of("12 V", "24 V", "48 V"));
        }
        if (said.sizable() && said.mayRest()) {
            next.add(said.load().orElseThrow().exampleSpell());
        }
        if (said.studs().isEmpty() && (said.sizable() || said.endOnly())) {
            next.addAll(List.of("on M8", "on M10"));
        }
        if (said.sizable() && said.figure(Meaning.DROP).isEmpty()) {
            next.addAll(List.of("2 %", "10 %"));
        }
        if (said.figure(Meaning.POWER).isPresent() && said.load().isEmpty()) {
            next.add("inverter");
        }
        return next;
    }
}
