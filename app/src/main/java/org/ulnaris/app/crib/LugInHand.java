package org.ulnaris.app.crib;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugFit;

/**
 * The lug that somebody holds, and what each pair of dies would do to it.
 *
 * @param size the conductor in it
 * @param ranked the dies, best first
 */
record LugInHand(Lug lug, ConductorSize size, List<Crimp> ranked) {
    private static final int LONGEST = 60;

    /** Reads {@code lug} and {@code size}; empty where none is named. Faults stay in {@code entries}, a conductor that the lug does not name with them. */
    static Optional<LugInHand> read(Entries entries, List<Lug> lugs, List<Die> dies) {
        String code = entries.text("lug", LONGEST, false, "");
        ConductorSize typed = size(entries);
        if (code.isEmpty()) {
            return Optional.empty();
        }
        Optional<Lug> lug = lugs.stream()
                .filter(candidate -> candidate.code().equalsIgnoreCase(code))
                .findFirst();
        if (lug.isEmpty()) {
            entries.fault("lug", Fault.Code.CONTRADICTS, Expected.of("lug-of-stock"));
            return Optional.empty();
        }
        if (entries.faults().containsKey("size")) {
            return Optional.empty();
        }
        Optional<ConductorSize> size = Optional.ofNullable(typed)
                .or(() -> ConductorSizes.designated(lug.get().forSize()));
        if (size.isEmpty()) {
            entries.fault("size", Fault.Code.EMPTY);
        }
        return size.filter(with -> enters(entries, lug.get(), with))
                .map(with -> new LugInHand(
                        lug.get(),
                        with,
                        DieChooser.rank(
                                dies,
                                lug.get().form().conductors() * with.areaMm2(),
                                lug.get().barrel())));
    }

    /** A conductor that is nowhere near the bore is no question of dies: what presses it by its area alone presses nothing. */
    private static boolean enters(Entries entries, Lug lug, ConductorSize with) {
        double fill = LugFit.boreFill(lug.form().conductors() * with.areaMm2(), lug.barrel());
        boolean enters = LugFit.boreFillVerdict(fill) != Verdict.STOP;
        if (!enters) {
            entries.fault(
                    "size",
                    Fault.Code.CONTRADICTS,
                    Expected.of(
                            "bore-fill",
                            Figures.fixed(LugFit.BORE_FILL.stopBelow(), 2),
                            Figures.fixed(LugFit.BORE_FILL.stopAbove(), 2),
                            Figures.fixed(fill, 2)));
        }
        return enters;
    }

    /** A conductor as it was typed; null where none was, or one that is none. */
    static @Nullable ConductorSize size(Entries entries) {
        String text = entries.text("size", LONGEST, false, "");
        if (text.isEmpty()) {
            return null;
        }
        try {
            return ConductorSizes.parse(text, SizeSeries.METRIC);
        } catch (MeasureException e) {
            entries.fault("size", Fault.Code.UNKNOWN_SIZE, e.example());
            return null;
        }
    }

    /** What a pair of dies would do; empty where it presses no such lug. */
    Optional<Crimp> with(String tag) {
        return ranked.stream().filter(crimp -> crimp.die().tag().equals(tag)).findFirst();
    }

    /** What the fields show. */
    static Map<String, String> shown(Map<String, String> typed) {
        return Map.of("lug", typed.getOrDefault("lug", ""), "size", typed.getOrDefault("size", ""));
    }
}
