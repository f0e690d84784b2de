package org.ulnaris.core.tooling;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpBand;
import org.ulnaris.core.crimp.CrimpForce;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.termination.Barrel;

/**
 * A crimp that a crib can't make soundly.
 *
 * @param barrel the tube
 * @param conductorAreaMm2 conductor area, mm²
 * @param places the ends that need it
 * @param kind what is missing
 * @param wanted dies that would do
 * @param substitute the nearest that the crib can do; null without any dies for lugs
 */
public record CribGap(
        Barrel barrel,
        double conductorAreaMm2,
        List<String> places,
        Kind kind,
        Wanted wanted,
        @Nullable Crimp substitute) {
    public CribGap {
        places = List.copyOf(places);
    }

    /** What is missing. */
    public enum Kind {
        /** No dies that make a sound crimp. */
        NO_DIE,
        /** Dies, but no tool that takes them and is strong enough. */
        NO_TOOL
    }

    /** What the substitute would do. */
    public enum Consequence {
        /** Voids stay: it may pull out and it heats. */
        LOOSE,
        /** No reserve for thin strands or a thin wall. */
        LIGHT,
        /** Wings: press lightly, turn 90°, press again, file them. */
        WINGS,
        /** Sharp fins, thinned wall. */
        FINS,
        /** Sound, but no tool closes it. */
        NO_TOOL
    }

    /**
     * Dies to buy or borrow.
     *
     * @param flatsFromMm least width across flats, mm
     * @param flatsToMm greatest, mm
     * @param widthUpToMm widest die that the barrel has room for, mm
     * @param forceKn force for the middle of the window at the width of one crimp of {@value #USUAL_WIDTH_MM} mm, kN
     */
    public record Wanted(double flatsFromMm, double flatsToMm, double widthUpToMm, double forceKn) {}

    private static final double USUAL_WIDTH_MM = 5;

    /**
     * An end that must be crimped.
     *
     * @param place cable and end in words
     * @param barrel the lug's tube
     * @param conductorAreaMm2 conductor area, mm²
     * @param rule what tells there whether lug and dies belong together
     */
    public record Need(String place, Barrel barrel, double conductorAreaMm2, MarkRule rule) {}

    /** What {@code toolbox} lacks for {@code needs}; needs of one barrel and conductor together, the most wanted first. */
    public static List<CribGap> of(Collection<Need> needs, Toolbox toolbox) {
        record Key(Barrel barrel, double areaMm2, MarkRule rule) {}
        Map<Key, List<String>> places = new LinkedHashMap<>();
        for (Need need : needs) {
            places.computeIfAbsent(
                            new Key(need.barrel(), need.conductorAreaMm2(), need.rule()), key -> new ArrayList<>())
                    .add(need.place());
        }
        List<Die> dies = toolbox.dies().stream().map(Toolbox.HeldDie::die).toList();
        List<CribGap> gaps = new ArrayList<>();
        places.forEach((key, where) -> {
            List<Crimp> ranked = DieChooser.rank(dies, key.areaMm2(), key.barrel(), key.rule());
            boolean sound = ranked.stream().anyMatch(DieChooser::isSound);
            boolean made = ranked.stream().anyMatch(crimp -> DieChooser.isSound(crimp) && toolbox.closes(crimp));
            if (!made) {
                gaps.add(new CribGap(
                        key.barrel(),
                        key.areaMm2(),
                        where,
                        sound ? Kind.NO_TOOL : Kind.NO_DIE,
                        wanted(key.barrel(), key.areaMm2()),
                        ranked.isEmpty() ? null : ranked.get(0)));
            }
        });
        gaps.sort(Comparator.comparingInt(gap -> -gap.places().size()));
        return List.copyOf(gaps);
    }

    /** The window of the sound band: AF = √(c·M / 0.8660). */
    static Wanted wanted(Barrel barrel, double areaMm2) {
        double metal = barrel.wallAreaMm2() + areaMm2;
        double from = Die.hexFlatsMm(CrimpBand.HARD_BELOW * metal);
        double to = Die.hexFlatsMm(CrimpBand.LIGHT_ABOVE * metal);
        double room = Math.max(0, barrel.depthMm() - 2 * Crimp.CLEAR_MM);
        double width = Math.min(USUAL_WIDTH_MM, Math.max(0.5, room));
        Die middle = new Die("", DieShape.HEX, (from + to) / 2, width, barrel.material());
        return new Wanted(from, to, room, new CrimpForce(new Crimp(areaMm2, barrel, middle)).requiredKn());
    }

    /** What the substitute would do; null without one. */
    public @Nullable Consequence consequence() {
        Crimp crimp = substitute;
        if (crimp == null) {
            return null;
        }
        return switch (crimp.band()) {
            case LOOSE -> Consequence.LOOSE;
            case LIGHT -> Consequence.LIGHT;
            case HARD -> Consequence.WINGS;
            case OVER_CRIMPED -> Consequence.FINS;
            case SOUND -> Consequence.NO_TOOL;
        };
    }
}
