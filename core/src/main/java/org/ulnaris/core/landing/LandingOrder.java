package org.ulnaris.core.landing;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/**
 * In what order the ends of a job are landed so that no bare end is ever live: loads and returns first, of each way the end nearest to
 * the battery last, the batteries last of all, their minus at the end, and the fuses next to them out of their holders until then
 * (common practice). Only between batteries a bare end is live, while its lug is on its way.
 *
 * @param ends all ends in their order
 * @param mains tags of the fuses and breakers that are left out or open until all is landed
 * @param chargers tags of what must give nothing meanwhile
 * @param panels tags of the solar panels, which give whenever there is light
 * @param unfused tags of what is live as soon as a battery is on: no fuse lies between
 */
public record LandingOrder(
        List<LandingEnd> ends, List<String> mains, List<String> chargers, List<String> panels, List<String> unfused) {
    /** Farther than any piece that a cable leads to. */
    private static final int FARTHEST = Integer.MAX_VALUE;

    public LandingOrder {
        ends = List.copyOf(ends);
        mains = List.copyOf(mains);
        chargers = List.copyOf(chargers);
        panels = List.copyOf(panels);
        unfused = List.copyOf(unfused);
    }

    /** The landing of a job. */
    public static LandingOrder of(WorkedJob job) {
        return new Finder(job).order();
    }

    /** The first end that is not landed; empty when all are. */
    public Optional<LandingEnd> next() {
        return ends.stream().filter(end -> !end.landed()).findFirst();
    }

    /** The place of an end. */
    public LandingEnd at(String cable, Side side) {
        return ends.stream()
                .filter(end -> end.cable().equals(cable) && end.side() == side)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no end " + side + " of '" + cable + "'"));
    }

    /** What should be landed before {@code end} and is not. */
    public List<LandingEnd> before(LandingEnd end) {
        return ends.stream()
                .filter(one -> one.number() < end.number() && !one.landed())
                .toList();
    }

    /** Bare live ends after each landing of this order, its fuses left out. */
    public int[] bare(JobModel job) {
        return BareEnds.after(job, ends.stream().map(LandingEnd::end).toList(), Set.copyOf(mains));
    }

    /** The same, cable by cable as they are listed, with every fuse in its holder. */
    public int[] bareByCable(JobModel job) {
        List<BareEnds.End> order = new ArrayList<>();
        for (CableModel cable : job.cables()) {
            order.add(new BareEnds.End(cable.tag(), Side.A));
            order.add(new BareEnds.End(cable.tag(), Side.B));
        }
        return BareEnds.after(job, order, Set.of());
    }

    /** The same, from the battery on, with every fuse in its holder. */
    public int[] bareFromBattery(JobModel job) {
        List<BareEnds.End> order =
                new ArrayList<>(ends.stream().map(LandingEnd::end).toList());
        Collections.reverse(order);
        return BareEnds.after(job, order, Set.of());
    }

    /** An end while its place is sought. */
    private record Found(
            WorkedCable cable, Side side, @Nullable Terminal at, LandingGroup group, int awayFrom, int comesFrom) {
        double areaMm2() {
            return cable.rung().size().areaMm2();
        }
    }

    /** The order of one job as it is found. */
    private static final class Finder {
        private final WorkedJob job;
        private final Map<String, Device> devices = new HashMap<>();
        private final Map<String, Integer> places = new HashMap<>();
        private final Map<String, Integer> away = new HashMap<>();
        private final Set<String> mains = new LinkedHashSet<>();
        private final Set<String> unfused = new LinkedHashSet<>();
        private final boolean controlled;

        Finder(WorkedJob job) {
            this.job = job;
            for (Piece piece : job.model().pieces()) {
                devices.put(piece.device().tag(), piece.device());
                places.put(piece.device().tag(), places.size());
            }
            this.controlled = devices.values().stream().anyMatch(Device.PanelInput.class::isInstance);
            measure();
            findMains();
        }

        LandingOrder order() {
            List<Found> found = new ArrayList<>();
            for (WorkedCable cable : job.cables()) {
                for (Side side : Side.values()) {
                    found.add(found(cable, side));
                }
            }
            found.sort(Comparator.comparing(Found::group).thenComparing(this::byPlace));
            List<LandingEnd> ends = new ArrayList<>();
            for (Found one : found) {
                ends.add(new LandingEnd(
                        ends.size() + 1,
                        one.cable().tag(),
                        one.side(),
                        one.cable().cable().points().at(one.side()),
                        one.group(),
                        landed(one.cable(), one.side())));
            }
            return new LandingOrder(
                    ends,
                    inOrder(mains),
                    inOrder(tags(device -> device instanceof Device.Charger && !isPanels(device))),
                    inOrder(tags(Finder::isPanels)),
                    inOrder(unfused));
        }

        private static boolean isPanels(Device device) {
            return device instanceof Device.Charger charger && charger.panels() != null;
        }

        private Set<String> tags(Predicate<Device> some) {
            return devices.values().stream().filter(some).map(Device::tag).collect(Collectors.toSet());
        }

        private List<String> inOrder(Set<String> tags) {
            return job.model().pieces().stream()
                    .map(piece -> piece.device().tag())
                    .filter(tags::contains)
                    .toList();
        }

        private boolean landed(WorkedCable cable, Side side) {
            Set<String> done = job.model().record(cable.tag()).done();
            return !done.isEmpty()
                    && cable.plan().steps().stream()
                            .filter(step -> step.side() == side)
                            .filter(step -> step.kind().scope() == StepKind.Scope.LANDING
                                    || step.kind().scope() == StepKind.Scope.END)
                            .map(BuildStep::key)
                            .allMatch(done::contains);
        }

        private Optional<Terminal> terminal(WorkedCable cable, Side side) {
            return cable.cable().points().terminal(side).filter(this::exists);
        }

        private boolean exists(Terminal terminal) {
            Device device = devices.get(terminal.device());
            return device != null && device.terminals().contains(terminal);
        }

        private Found found(WorkedCable cable, Side side) {
            Terminal at = terminal(cable, side).orElse(null);
            Terminal other = terminal(cable, side == Side.A ? Side.B : Side.A).orElse(null);
            return new Found(
                    cable,
                    side,
                    at,
                    at == null ? LandingGroup.LOOSE : group(cable, at, other),
                    at == null ? FARTHEST : awayOf(at),
                    other == null ? FARTHEST : awayOf(other));
        }

        private LandingGroup group(WorkedCable cable, Terminal at, @Nullable Terminal other) {
            Device device = devices.get(at.device());
            if (device instanceof Device.Bank) {
                boolean link = other != null && devices.get(other.device()) instanceof Device.Bank;
                return link ? LandingGroup.LINKS : at.port() == Port.MINUS ? LandingGroup.MINUS : LandingGroup.PLUS;
            }
            if (device != null && device.isAppliance()) {
                return isPanels(device) && controlled ? LandingGroup.PANELS : LandingGroup.DEVICES;
            }
            if (mains.contains(at.device())) {
                return LandingGroup.MAINS;
            }
            return cable.cable().pole() == Pole.NEGATIVE ? LandingGroup.RETURNS : LandingGroup.FEEDS;
        }

        private int awayOf(Terminal terminal) {
            return away.getOrDefault(terminal.device(), FARTHEST);
        }

        /** Place of its piece in the job's list; of the minus posts turned round: the battery whose plus came last is done first. */
        private int place(Found end) {
            int place = end.at() == null ? 0 : places.getOrDefault(end.at().device(), 0);
            return end.group() == LandingGroup.MINUS ? -place : place;
        }

        /** Of one group the farthest first; at one piece what comes from afar before what leads to the battery, the thickest lowest. */
        private int byPlace(Found one, Found other) {
            return one.group() == LandingGroup.LINKS
                    ? Comparator.comparing(this::isParallel).compare(one, other)
                    : Comparator.comparing(Found::awayFrom, Comparator.reverseOrder())
                            .thenComparing(this::place)
                            .thenComparing(Finder::portFirst)
                            .thenComparing(Found::areaMm2, Comparator.reverseOrder())
                            .compare(one, other);
        }

        /** A link between posts of one sign comes when the strings are whole. */
        private boolean isParallel(Found link) {
            return terminal(link.cable(), Side.A)
                    .map(Terminal::port)
                    .equals(terminal(link.cable(), Side.B).map(Terminal::port));
        }

        private static int portFirst(Found one) {
            if ((one.group() == LandingGroup.DEVICES || one.group() == LandingGroup.PANELS) && one.at() != null) {
                return one.at().port() == Port.MINUS ? 0 : 1;
            }
            return -one.comesFrom();
        }

        /** How many cables each piece is away from a battery; loads and chargers lead nowhere. */
        private void measure() {
            Map<String, List<String>> neighbours = new HashMap<>();
            for (WorkedCable cable : job.cables()) {
                Terminal a = terminal(cable, Side.A).orElse(null);
                Terminal b = terminal(cable, Side.B).orElse(null);
                if (a != null && b != null) {
                    join(neighbours, a.device(), b.device());
                }
            }
            mounted((fuse, on) -> join(neighbours, fuse.tag(), on.device()));
            Deque<String> next = new ArrayDeque<>();
            for (Piece piece : job.model().pieces()) {
                if (piece.device() instanceof Device.Bank) {
                    away.put(piece.device().tag(), 0);
                    next.add(piece.device().tag());
                }
            }
            while (!next.isEmpty()) {
                String here = next.remove();
                for (String there : neighbours.getOrDefault(here, List.of())) {
                    if (leads(devices.get(there)) && !away.containsKey(there)) {
                        away.put(there, away.getOrDefault(here, 0) + 1);
                        next.add(there);
                    }
                }
            }
        }

        private static void join(Map<String, List<String>> neighbours, String a, String b) {
            neighbours.computeIfAbsent(a, none -> new ArrayList<>()).add(b);
            neighbours.computeIfAbsent(b, none -> new ArrayList<>()).add(a);
        }

        /** Each fuse that sits on a terminal of another piece. */
        private void mounted(BiConsumer<Device.Fuse, Terminal> then) {
            for (Device device : devices.values()) {
                if (device instanceof Device.Fuse fuse && fuse.on() != null) {
                    then.accept(fuse, fuse.on());
                }
            }
        }

        private static boolean leads(@Nullable Device device) {
            return device instanceof Device.Bar || device instanceof Device.Fuse || device instanceof Device.Link;
        }

        /** What hangs on a post of a battery without a fuse between, and the fuses where that ends. */
        private void findMains() {
            Deque<Terminal> next = new ArrayDeque<>();
            devices.values().stream()
                    .filter(Device.Bank.class::isInstance)
                    .map(bank -> bank.at(Port.PLUS))
                    .forEach(next::add);
            Set<Terminal> seen = new HashSet<>(next);
            while (!next.isEmpty()) {
                for (Terminal there : across(next.remove())) {
                    Device device = devices.get(there.device());
                    if (device instanceof Device.Fuse) {
                        mains.add(device.tag());
                    } else if (device != null && device.isAppliance()) {
                        unfused.add(device.tag());
                    } else if (device != null && leads(device)) {
                        device.terminals().stream().filter(seen::add).forEach(next::add);
                    }
                }
            }
        }

        /** Where the cables at a terminal lead; every stud of a bar is the same terminal. */
        private List<Terminal> across(Terminal here) {
            List<Terminal> there = new ArrayList<>();
            for (WorkedCable cable : job.cables()) {
                for (Side side : Side.values()) {
                    if (terminal(cable, side).filter(here::equals).isPresent()) {
                        terminal(cable, side == Side.A ? Side.B : Side.A).ifPresent(there::add);
                    }
                }
            }
            mounted((fuse, on) -> {
                if (on.equals(here)) {
                    there.add(fuse.at(Port.OUT));
                }
            });
            return there;
        }
    }
}
