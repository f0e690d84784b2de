package org.ulnaris.app.plan;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.Terminal.Port;

/**
 * The return of a cable that runs to a plus: the same way back, from minus to minus. An end without a minus beside it (a bar, a fuse, a
 * switch) has its return where a person says, never on what a source lifts.
 *
 * @param out the cable
 * @param backAt where the return of an end without a minus goes, as it was typed; empty where nobody said
 * @param terminals terminals that cables may join
 * @param nets what hangs together in the job; null while it has no equipment or no case
 */
public record CablePair(
        CableDetails out,
        String backAt,
        Set<String> terminals,
        @Nullable Nets nets) {
    /** The return; empty where {@link #expected()} says why not. */
    public Optional<CableDetails> back() {
        Optional<String> from = opposite(out.toPoint());
        Optional<String> to = opposite(out.fromPoint());
        if (from.isEmpty() || to.isEmpty() || from.equals(to)) {
            return Optional.empty();
        }
        String stem = out.tag().replaceFirst("[+−-]$", "");
        return Optional.of(out.tagged(stem + "−").returning(from.get(), to.get()));
    }

    /** What is asked for where there is no return, with an example. */
    public Expected expected() {
        if (!ends().stream().anyMatch(CablePair::isPlus)) {
            return Expected.of("pair-to-plus");
        }
        return Expected.of(backAt.isEmpty() ? "return-ends" : "minus-side", example());
    }

    /** A known return before any other, a bar before a pole. */
    private String example() {
        return terminals.stream()
                .filter(this::takesReturns)
                .min(Comparator.comparing((String point) -> !isReturn(point))
                        .thenComparing(point -> !point.endsWith("." + Port.BAR.word()))
                        .thenComparing(point -> point))
                .orElse("NBUS.bar");
    }

    private boolean isReturn(String point) {
        return nets != null
                && Terminal.read(point).filter(one -> nets.returns(one.node())).isPresent();
    }

    private List<String> ends() {
        return List.of(out.fromPoint(), out.toPoint());
    }

    private static boolean isPlus(String point) {
        return Terminal.read(point).filter(one -> one.port() == Port.PLUS).isPresent();
    }

    private Optional<String> opposite(String point) {
        if (isPlus(point)) {
            return Terminal.read(point)
                    .map(plus -> new Terminal(plus.device(), Port.MINUS).toString())
                    .filter(terminals::contains);
        }
        boolean other = ends().stream().anyMatch(CablePair::isPlus);
        return other ? Optional.of(backAt).filter(this::takesReturns) : Optional.empty();
    }

    private boolean takesReturns(String point) {
        Optional<Terminal> terminal = Terminal.read(point).filter(one -> terminals.contains(point));
        return terminal.isPresent()
                && !isPlus(point)
                && !ends().contains(point)
                && (nets == null || !nets.live(terminal.get().node()));
    }
}
