package org.ulnaris.core.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.InsulationKind;

/**
 * Words of the trade that belong together (common practice), with what they stand for: a row a phrase, the first that fits counts.
 *
 * @param pattern what is written, in any case; a group {@code n} is its figure
 * @param meaning what it stands for
 * @param unit of its figure where none is written; null where it has no figure
 * @param name what it names; empty where it names nothing
 * @param doubt why it is not taken; {@link Word.Doubt#NONE} where it is
 */
record Phrase(Pattern pattern, Meaning meaning, @Nullable Unit unit, String name, Word.Doubt doubt) {
    private static final String NUMBER = "(?<n>\\d+(?:[.,]\\d+)?)";
    private static final String LOADS = Stream.of(LoadWord.values())
            .flatMap(kind -> kind.words().stream())
            .map(Pattern::quote)
            .collect(Collectors.joining("|", "(?:", ")"));
    private static final String MANY = "(?:[2-9]|\\d\\d|two|three|four|five|six)";

    /** Every phrase, longest ways of saying a thing first. */
    static final List<Phrase> ALL = List.of(
            says(Meaning.LOOP, "(?:round|return)[ -]?trip|(?:there|out) (?:and|&) back|both ways|in total|total|loop"),
            says(Meaning.ENGINE_SPACE, "(?:in |through )?(?:the )?engine (?:room|space|bay|compartment)"),
            says(Meaning.CONDUIT, "(?:in |through )?(?:a |the )?(?:conduit|duct|pipe)"),
            says(Meaning.WALLED, "(?:in|inside|through|behind) (?:a |the )?(?:wall|insulation|foam|panelling)"),
            figure(Meaning.BUNDLED, Unit.AMPERE, "(?:bundled|bundle of|bundle)\\s*" + NUMBER),
            figure(Meaning.BUNDLED, Unit.AMPERE, NUMBER + "\\s*bundled"),
            figure(
                    Meaning.INSULATION,
                    Unit.CELSIUS,
                    NUMBER + "\\s*(?:°\\s*)?C[ -]+(?:cable|wire|insulation|insulated|rated)"),
            figure(Meaning.DROP_V, Unit.VOLT, "(?:drop|loss)\\s*(?:of\\s*)?" + NUMBER + "\\s*V(?:olts?)?"),
            figure(Meaning.DROP_V, Unit.VOLT, NUMBER + "\\s*V(?:olts?)?\\s*(?:drop|loss)"),
            figure(Meaning.FUSE, Unit.AMPERE, "fused?\\s*(?:at |of |with )?\\s*" + NUMBER + "\\s*A(?:mps?)?"),
            figure(Meaning.FUSE, Unit.AMPERE, NUMBER + "\\s*A(?:mps?)?\\s+fuse"),
            doubtful(Word.Doubt.AC, "\\d+\\s*(?:V(?:olts?)?\\s*AC|VAC)|AC|mains"),
            doubtful(Word.Doubt.PARALLEL, MANY + "\\s*[x×]\\s*(?:\\d/0|0{2,4}|\\d+)(?:\\s*(?:mm²|mm2|awg))?"),
            doubtful(
                    Word.Doubt.PARALLEL,
                    MANY
                            + "\\s+(?:runs?|cables?|lengths?|parallel)(?:\\s+(?:of\\s+)?(?:\\d/0|0{2,4}|\\d+(?=\\s*(?:awg|mm)))(?:\\s*(?:mm²|mm2|awg))?)?"),
            doubtful(Word.Doubt.PARALLEL, "(?:in )?parallel|doubled"),
            doubtful(Word.Doubt.STRINGS, MANY + "?\\s*strings?"),
            doubtful(Word.Doubt.ONE_LOAD, MANY + "\\s+" + LOADS + "e?s"),
            doubtful(Word.Doubt.DUTY, NUMBER + "\\s*%\\s*duty|duty\\s*" + NUMBER.replace("n>", "m>") + "\\s*%"),
            doubtful(Word.Doubt.SHAFT_POWER, NUMBER + "\\s*(?:hp|bhp|horsepower|horse power|ps)"),
            doubtful(Word.Doubt.NO_SUCH_SIZE, NUMBER + "\\s*(?:mcm|kcmil)"),
            doubtful(Word.Doubt.LINK, "(?:battery )?links?"),
            names(Meaning.CHEMISTRY, Chemistry.LEAD_AGM, "agm|gel"),
            names(Meaning.CHEMISTRY, Chemistry.LEAD_WET, "flooded|lead[ -]acid|lead"),
            names(Meaning.CHEMISTRY, Chemistry.LITHIUM_NICKEL, "nmc"),
            names(Meaning.CHEMISTRY, Chemistry.LITHIUM_IRON, "lithium|lifepo4?|lfp"),
            names(Meaning.MATERIAL, InsulationKind.PVC, "pvc"),
            names(Meaning.MATERIAL, InsulationKind.SILICONE, "silicone"),
            names(Meaning.MATERIAL, InsulationKind.CROSS_LINKED, "xlpe|cross[ -]linked"),
            names(Meaning.MATERIAL, InsulationKind.RUBBER, "rubber|epr"),
            names(Meaning.STRANDS, ConductorMetal.ALUMINIUM, "alumini?um"),
            names(Meaning.STRANDS, ConductorMetal.TINNED, "tinned(?: copper)?"),
            names(Meaning.STRANDS, ConductorMetal.COPPER_CLAD, "cca|copper[ -]clad(?: alumini?um)?"),
            names(Meaning.STRANDS, ConductorMetal.COPPER, "(?:bare )?copper"),
            names(
                    Meaning.LOAD,
                    LoadWord.ELECTRONICS,
                    "(?:fuse|distribution|switch) (?:panel|block|box|board)|bus(?:[ -]?bar)?"),
            names(Meaning.LOAD, LoadWord.CHARGER, "solar panels?"),
            says(
                    Meaning.JOINING,
                    "(?:bow|stern|anchor|bilge|water|deck|wash|fresh|shower|engine|electric|cooling|battery)(?=\\s+"
                            + LOADS + ")"),
            says(Meaning.JOINING, "one[ -]way|battery bank"));

    private static Phrase says(Meaning meaning, String pattern) {
        return new Phrase(whole(pattern), meaning, null, "", Word.Doubt.NONE);
    }

    private static Phrase names(Meaning meaning, Enum<?> named, String pattern) {
        return new Phrase(whole(pattern), meaning, null, named.name(), Word.Doubt.NONE);
    }

    private static Phrase figure(Meaning meaning, Unit unit, String pattern) {
        return new Phrase(whole(pattern), meaning, unit, "", Word.Doubt.NONE);
    }

    private static Phrase doubtful(Word.Doubt doubt, String pattern) {
        return new Phrase(whole(pattern), Meaning.UNKNOWN, null, "", doubt);
    }

    private static Pattern whole(String pattern) {
        return Pattern.compile(
                "(?:" + pattern.replace(" ", "\\s+") + ")(?![\\p{L}\\d])",
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** The word of {@code line} from {@code at} on; empty where this phrase does not stand there. */
    Optional<Word> read(String line, int at) {
        Matcher matcher = pattern.matcher(line).region(at, line.length()).useTransparentBounds(true);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        Word.Typed typed = new Word.Typed(at, matcher.group());
        if (doubt != Word.Doubt.NONE) {
            return Optional.of(Word.doubtful(typed, doubt));
        }
        return Optional.of(
                unit == null ? Word.named(typed, meaning, name) : Word.read(typed, meaning, matcher.group("n"), unit));
    }

    /** Single words that phrases are made of, for what is mistyped. */
    static List<String> vocabulary() {
        List<String> words = new ArrayList<>(List.of(
                "conduit",
                "bundled",
                "insulation",
                "engine",
                "parallel",
                "lithium",
                "flooded",
                "silicone",
                "aluminium",
                "aluminum",
                "tinned",
                "copper",
                "fuse",
                "total",
                "loop"));
        Stream.of(LoadWord.values()).forEach(kind -> words.addAll(kind.words()));
        return words;
    }
}
