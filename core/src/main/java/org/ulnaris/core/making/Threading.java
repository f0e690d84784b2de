package org.ulnaris.core.making;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;

/**
 * What must be on the cable before which end is closed, worked out over both ends. The A end is closed first.
 *
 * @param parts in the order in which they go on: those of A, those of B, then what lies along the run
 */
public record Threading(List<Part> parts) {
    private static final double TAG_SLEEVE = 1.15;

    public Threading {
        parts = List.copyOf(parts);
    }

    /** What is slid on. */
    public enum Item {
        NUT,
        CLAMP,
        SEAL,
        SLEEVE,
        /** The sleeve that closes an end of the loom. */
        LOOM_END,
        TAG
    }

    /** When at the latest. */
    public enum Latest {
        /** It passes the finished end: it may follow. */
        MAY_FOLLOW,
        /** Before its own end is closed; forgotten, it still comes over the other finished end. */
        OVER_THE_OTHER,
        /** Before its own end is closed; forgotten, it still comes from the other end while that is open. */
        WHILE_OTHER_OPEN,
        /** Before the last end is closed: afterwards nothing but cutting helps. */
        NEVER_AFTER
    }

    /**
     * A part with its moment.
     *
     * @param side the end that it belongs to
     * @param item what it is
     * @param boreMm what it passes over, mm
     * @param latest when at the latest
     */
    public record Part(Side side, Item item, double boreMm, Latest latest) {}

    /** The order for a planned cable. */
    public static Threading of(CablePlan plan) {
        List<Part> parts = new ArrayList<>();
        for (Side side : Side.values()) {
            Termination own = plan.end(side).termination();
            if (own == null) {
                continue;
            }
            if (own instanceof MatchedContact matched && matched.contact().family() == Family.PV) {
                double bore = plan.cable().outerMm() * TAG_SLEEVE;
                for (Item item : List.of(Item.NUT, Item.CLAMP, Item.SEAL)) {
                    parts.add(new Part(side, item, bore, latest(plan, side, bore)));
                }
            }
            ShrinkChoice sleeve = own.sleeve();
            if (sleeve != null && sleeve.tube() != null) {
                double bore = passesMm(sleeve.tube());
                parts.add(new Part(side, Item.SLEEVE, bore, latest(plan, side, bore)));
            }
        }
        ShrinkTube loomEnd = plan.sleeves().loomEnd();
        ShrinkTube tag = plan.sleeves().tag();
        double tagBore = tag == null ? plan.cable().outerMm() * TAG_SLEEVE : passesMm(tag);
        for (Side side : Side.values()) {
            if (loomEnd != null) {
                parts.add(new Part(side, Item.LOOM_END, passesMm(loomEnd), latest(plan, side, passesMm(loomEnd))));
            }
            parts.add(new Part(side, Item.TAG, tagBore, latest(plan, side, tagBore)));
        }
        return new Threading(parts);
    }

    private static double passesMm(ShrinkTube tube) {
        return tube.expandedMm() / ShrinkChoice.PASS_FACTOR;
    }

    private static Latest latest(CablePlan plan, Side side, double boreMm) {
        if (boreMm >= widest(plan, side)) {
            return Latest.MAY_FOLLOW;
        }
        if (boreMm >= widest(plan, side.other())) {
            return Latest.OVER_THE_OTHER;
        }
        return side == Side.A ? Latest.WHILE_OTHER_OPEN : Latest.NEVER_AFTER;
    }

    private static double widest(CablePlan plan, Side side) {
        Termination end = plan.end(side).termination();
        boolean goesOn = end instanceof MatchedContact matched
                && matched.contact().style().joins();
        return end == null || goesOn ? Double.POSITIVE_INFINITY : end.widestMm();
    }

    /** What must be on before {@code side} is closed, in the order in which it goes on. */
    public List<Part> before(Side side) {
        return parts.stream()
                .filter(part -> part.side() == side && part.latest() != Latest.MAY_FOLLOW)
                .toList();
    }
}
