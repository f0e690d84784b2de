package org.ulnaris.core.making;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;

/** What is at hand for an end: parts on the shelf, dies of the crib that press a tube soundly. It orders parts that do equally well. */
public final class Handiness {
    private final Map<String, Integer> shelf;
    private final List<Die> dies;
    private final double areaMm2;
    private final MarkRule marks;
    private final Map<Barrel, Boolean> pressed = new ConcurrentHashMap<>();

    /** For {@code areaMm2} of conductor in a tube, mm². */
    Handiness(Shop shop, double areaMm2, MarkRule marks) {
        this.shelf = shop.shelf();
        this.dies = shop.dies();
        this.marks = marks;
        this.areaMm2 = areaMm2;
    }

    /** How many of {@code code} lie on the shelf; empty where nothing at all is counted. */
    public OptionalInt onShelf(String code) {
        return shelf.isEmpty() ? OptionalInt.empty() : OptionalInt.of(shelf.getOrDefault(code, 0));
    }

    /** Whether a pair of dies presses {@code tube} without a stop. */
    public boolean pressed(Barrel tube) {
        return pressed.computeIfAbsent(
                tube,
                one -> dies.stream()
                        .filter(die -> die.shape().forLugs())
                        .anyMatch(die -> DieChooser.dieVerdict(new Crimp(areaMm2, one, die, marks)) != Verdict.STOP));
    }

    /** 0 with the part on the shelf and dies for it, 1 without the dies, 2 without the part, 3 without both. */
    int unhandy(String code, Optional<Barrel> tube) {
        boolean missing = onShelf(code).isPresent() && onShelf(code).getAsInt() == 0;
        boolean unpressed = !dies.isEmpty() && tube.isPresent() && !pressed(tube.get());
        return (missing ? 2 : 0) + (unpressed ? 1 : 0);
    }
}
