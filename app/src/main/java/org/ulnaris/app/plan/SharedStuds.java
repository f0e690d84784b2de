package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.fastening.SharedStack;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.termination.Landing;

/** Where lugs of several cables meet on one stud of a piece of equipment; the studs of a bus bar are not told apart. */
public final class SharedStuds {
    private static final String BAR = ".bar";

    private SharedStuds() {}

    /**
     * A stud with its lugs.
     *
     * @param stack the lugs in their order
     * @param studLengthMm its free length, mm, as any of the ends says; empty when none does
     */
    public record Shared(SharedStack stack, OptionalDouble studLengthMm) {}

    /** Whether lugs meet on {@code point}. */
    public static boolean isStud(String point, Set<String> terminals) {
        return terminals.contains(point) && !point.endsWith(BAR);
    }

    /** Shared studs by terminal, of {@code cables} with their {@code plans}. */
    public static Map<String, Shared> of(List<Cable> cables, Map<Long, CablePlan> plans, Set<String> terminals) {
        Map<String, List<SharedStack.Pad>> pads = new LinkedHashMap<>();
        Map<String, Landing> landings = new LinkedHashMap<>();
        for (Cable cable : cables) {
            CablePlan plan = Objects.requireNonNull(plans.get(cable.id()));
            for (Side side : Side.values()) {
                String point = side == Side.A
                        ? cable.details().fromPoint()
                        : cable.details().toPoint();
                MatchedLug match = plan.end(side).match();
                if (match != null && isStud(point, terminals)) {
                    pads.computeIfAbsent(point, missing -> new ArrayList<>())
                            .add(new SharedStack.Pad(
                                    cable.details().tag() + " " + side,
                                    match.lug().pad().widthMm(),
                                    match.lug().pad().thicknessMm()));
                    landings.merge(point, plan.end(side).landing(), SharedStuds::known);
                }
            }
        }
        Map<String, Shared> shared = new LinkedHashMap<>();
        pads.forEach((point, meeting) -> {
            @Nullable Landing landing = landings.get(point);
            if (landing != null && meeting.size() > 1) {
                Stud stud = landing.stud();
                shared.put(point, new Shared(SharedStack.of(stud, meeting), landing.studLengthMm()));
            }
        });
        return shared;
    }

    private static Landing known(Landing one, Landing other) {
        return one.studLengthMm().isPresent() ? one : other;
    }
}
