package org.ulnaris.core.worked;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.fastening.SharedStack;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.termination.Landing;

/** Where lugs of several cables meet on one stud of a piece of equipment; the studs of a bus bar are not told apart. */
public final class SharedStuds {
    private SharedStuds() {}

    /**
     * A stud with its lugs.
     *
     * @param stack the lugs in their order
     * @param studLengthMm its free length, mm, as any of the ends says; empty when none does
     * @param torqueGiven whether any of the ends says the maker's torque
     */
    public record Shared(SharedStack stack, OptionalDouble studLengthMm, boolean torqueGiven) {}

    /** Shared studs of {@code terminals} by terminal. */
    static Map<Terminal, Shared> of(Collection<CablePlanner.Planned> cables, Set<Terminal> terminals) {
        Map<Terminal, List<SharedStack.Pad>> pads = new LinkedHashMap<>();
        Map<Terminal, Landing> landings = new LinkedHashMap<>();
        Set<Terminal> tightened = new HashSet<>();
        for (CablePlanner.Planned cable : cables) {
            for (Side side : Side.values()) {
                MatchedLug match = cable.plan().end(side).match();
                Terminal terminal = cable.cable().points().terminal(side).orElse(null);
                if (match != null && terminal != null && !terminal.isBar() && terminals.contains(terminal)) {
                    pads.computeIfAbsent(terminal, missing -> new ArrayList<>())
                            .add(new SharedStack.Pad(
                                    cable.cable().tag() + " " + side,
                                    match.lug().pad().widthMm(),
                                    match.lug().pad().thicknessMm()));
                    if (cable.cable().end(side).torque() != null) {
                        tightened.add(terminal);
                    }
                    landings.merge(terminal, cable.plan().end(side).landing(), SharedStuds::known);
                }
            }
        }
        Map<Terminal, Shared> shared = new LinkedHashMap<>();
        pads.forEach((terminal, meeting) -> {
            @Nullable Landing landing = landings.get(terminal);
            if (landing != null && meeting.size() > 1) {
                shared.put(
                        terminal,
                        new Shared(
                                SharedStack.of(landing.stud(), meeting),
                                landing.studLengthMm(),
                                tightened.contains(terminal)));
            }
        });
        return shared;
    }

    private static Landing known(Landing one, Landing other) {
        return one.studLengthMm().isPresent() ? one : other;
    }
}
