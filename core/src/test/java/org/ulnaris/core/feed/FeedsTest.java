package org.ulnaris.core.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

/** What can flow into each end of each conductor of made-up networks, against every set of fuses and chargers taken out in turn. */
class FeedsTest {
    private static final Run.Laying LAYING = new Run.Laying(
            new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);

    private final List<Device> devices = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();

    private void join(String from, String to) {
        runs.add(new Run("C" + runs.size(), Terminal.parse(from), Terminal.parse(to), 1, LAYING, null));
    }

    private static String any(List<String> some, Random random) {
        return some.get(random.nextInt(some.size()));
    }

    /** Bars, up to six fuses between them, one to three sources, loads; some rings, some cables side by side. */
    private Installation madeUp(Random random) {
        List<String> points = new ArrayList<>();
        for (int bar = 0; bar < 4; bar++) {
            devices.add(new Device.Bar("BAR" + bar));
            points.add("BAR" + bar + ".bar");
        }
        for (int fuse = 0; fuse < 2 + random.nextInt(5); fuse++) {
            devices.add(new Device.Fuse("F" + fuse, 0.001, FuseFamily.CLASS_T, 10 * (1 + random.nextInt(20))));
            join(any(points, random), "F" + fuse + ".in");
            if (random.nextBoolean()) {
                join("F" + fuse + ".out", any(points, random));
            }
            points.add("F" + fuse + ".out");
        }
        devices.add(new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 100)));
        join("BANK.plus", any(points, random));
        for (int charger = 0; charger < random.nextInt(3); charger++) {
            devices.add(new Device.Charger("CH" + charger, 14.4, 0.01, 5 * (1 + random.nextInt(12))));
            join("CH" + charger + ".plus", any(points, random));
            join("CH" + charger + ".minus", "BANK.minus");
        }
        for (int load = 0; load < 3; load++) {
            devices.add(new Device.Consumer("L" + load, Device.Draw.steady(Device.DrawKind.CURRENT, 5, 1, 10), 3));
            join(any(points, random), "L" + load + ".plus");
            join("L" + load + ".minus", "BANK.minus");
        }
        for (int more = 0; more < random.nextInt(4); more++) {
            join(any(points, random), any(points, random));
        }
        return new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                devices,
                runs,
                List.of(new OperatingCase("all", Map.of(), 1)));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25})
    @CheckedAgainst(value = "least cut by trying every set of fuses and chargers", how = "exact")
    void noSetOfFusesCutsForLess(int seed) {
        Installation installation = madeUp(new Random(seed));
        Nets nets = new Nets(installation);
        Feeds feeds = new Feeds(installation, nets);
        for (Run run : installation.runs()) {
            boolean loop = run.from().node().equals(run.to().node());
            if (nets.live(run.from().node()) && !loop) {
                Fed fed = feeds.of(run);
                check(fed.atFrom(), run.from().node(), beside(run));
                check(fed.atTo(), run.to().node(), beside(run));
            }
        }
    }

    /** The cables between the same two points. */
    private Set<String> beside(Run run) {
        Set<String> ends = Set.of(run.from().node(), run.to().node());
        Set<String> tags = new HashSet<>();
        for (Run other : runs) {
            if (ends.contains(other.from().node()) && ends.contains(other.to().node())) {
                tags.add(other.tag());
            }
        }
        return tags;
    }

    private void check(Feed feed, String node, Set<String> taken) {
        double least = leastCutA(node, taken);
        if (least == Double.POSITIVE_INFINITY) {
            assertThat(feed.unlimited()).as(node).isTrue();
            return;
        }
        assertThat(feed.limitA()).as("%s without %s", node, taken).isCloseTo(least, within(1e-9));
        double named = feed.fuses().stream().mapToDouble(Device.Fuse::ratingA).sum()
                + feed.chargers().stream().mapToDouble(Device.Charger::maxA).sum();
        assertThat(named).isCloseTo(least, within(1e-9));
    }

    private double leastCutA(String node, Set<String> taken) {
        List<Device> limits = devices.stream()
                .filter(device -> device instanceof Device.Fuse || device instanceof Device.Charger)
                .toList();
        double least = Double.POSITIVE_INFINITY;
        for (int set = 0; set < 1 << limits.size(); set++) {
            Set<String> out = new HashSet<>(taken);
            double sum = 0;
            for (int i = 0; i < limits.size(); i++) {
                if ((set >> i & 1) == 1) {
                    out.add(limits.get(i).tag());
                    sum += limits.get(i) instanceof Device.Fuse fuse
                            ? fuse.ratingA()
                            : ((Device.Charger) limits.get(i)).maxA();
                }
            }
            if (sum < least && !fed(node, out)) {
                least = sum;
            }
        }
        return least;
    }

    private boolean fed(String node, Set<String> out) {
        Set<String> seen = new HashSet<>(Set.of(node));
        Deque<String> queue = new ArrayDeque<>(seen);
        while (!queue.isEmpty()) {
            String here = queue.remove();
            for (Run run : runs) {
                if (!out.contains(run.tag())) {
                    step(run.from().node(), run.to().node(), here, seen, queue);
                }
            }
            for (Device device : devices) {
                if (device instanceof Device.Fuse && !out.contains(device.tag())) {
                    step(device.at(Port.IN).node(), device.at(Port.OUT).node(), here, seen, queue);
                }
            }
        }
        return devices.stream()
                .filter(device -> device instanceof Device.Bank
                        || device instanceof Device.Charger && !out.contains(device.tag()))
                .anyMatch(device -> seen.contains(device.at(Port.PLUS).node()));
    }

    private static void step(String a, String b, String here, Set<String> seen, Deque<String> queue) {
        String next = here.equals(a) ? b : here.equals(b) ? a : here;
        if (seen.add(next)) {
            queue.add(next);
        }
    }
}
