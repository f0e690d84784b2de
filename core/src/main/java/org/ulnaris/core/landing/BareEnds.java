package org.ulnaris.core.landing;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.util.UnionFind;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.Side;

/**
 * How many ends hang bare and live while a job is landed. An end that hangs free is live when the other end of its cable is landed on
 * something that hangs together with a post of a battery, be it through a load. Lugs of one stud go under one nut: none of them hangs while
 * the first is put on.
 */
public final class BareEnds {
    private static final String LIVE = "\0live";

    private final Map<End, Terminal> terminals = new LinkedHashMap<>();
    private final UnionFind<String> joined = new UnionFind<>(Set.of(LIVE));
    private final Set<End> landed = new HashSet<>();

    /** An end of a cable. */
    public record End(String cable, Side side) {
        /** The other end of the same cable. */
        public End other() {
            return new End(cable, side == Side.A ? Side.B : Side.A);
        }
    }

    private BareEnds(JobModel job, Set<String> open) {
        job.terminals().stream().map(Terminal::node).distinct().forEach(joined::addElement);
        for (Piece piece : job.pieces()) {
            Device device = piece.device();
            List<Terminal> sides = device.ports().stream().map(device::at).toList();
            for (Terminal terminal : sides) {
                if (device instanceof Device.Bank) {
                    joined.union(LIVE, terminal.node());
                } else if (!open.contains(device.tag())) {
                    joined.union(sides.get(0).node(), terminal.node());
                }
            }
        }
        Set<Terminal> known = job.terminals();
        for (CableModel cable : job.cables()) {
            for (Side side : Side.values()) {
                cable.points()
                        .terminal(side)
                        .filter(known::contains)
                        .ifPresent(terminal -> terminals.put(new End(cable.tag(), side), terminal));
            }
        }
    }

    /**
     * How many bare ends are live after each landing.
     *
     * @param order the ends in the order in which they are landed
     * @param open tags of the fuses that are out of their holders
     */
    public static int[] after(JobModel job, List<End> order, Set<String> open) {
        BareEnds ends = new BareEnds(job, open);
        return order.stream().mapToInt(ends::land).toArray();
    }

    private int land(End end) {
        landed.add(end);
        Terminal here = terminals.get(end);
        Terminal there = terminals.get(end.other());
        if (here != null && there != null && landed.contains(end.other())) {
            joined.union(here.node(), there.node());
        }
        return (int) landed.stream()
                .filter(one -> !landed.contains(one.other()))
                .filter(one -> here == null || here.isBar() || !here.equals(terminals.get(one.other())))
                .map(terminals::get)
                .filter(terminal -> terminal != null && joined.inSameSet(LIVE, terminal.node()))
                .count();
    }
}
