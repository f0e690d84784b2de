package org.ulnaris.core.overcurrent;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import org.ulnaris.core.feed.Feeds;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.Placement;

/**
 * How far each fuse sits from what feeds it: on either side, along conductors that nothing protects, to the post of a battery or to a
 * point at which a protected conductor ends (a step down in size).
 */
final class FusePlaces {
    private final Feeds feeds;
    private final Nets nets;
    private final BiPredicate<Run, String> isProtected;
    private final Placement.School school;

    /** Where {@code isProtected} tells whether what can flow into a run at one of its ends is within what it may carry. */
    FusePlaces(Feeds feeds, Nets nets, BiPredicate<Run, String> isProtected, Placement.School school) {
        this.feeds = feeds;
        this.nets = nets;
        this.isProtected = isProtected;
        this.school = school;
    }

    /** By the terminal on either side; not of a side that no source reaches but through what is protected. */
    Map<String, FusePlace> of(Device.Fuse fuse) {
        Map<String, FusePlace> places = new HashMap<>();
        for (Port port : Device.SIDES) {
            String node = fuse.at(port).node();
            from(fuse, node).ifPresent(place -> places.put(node, place));
        }
        return places;
    }

    private Optional<FusePlace> from(Device.Fuse fuse, String node) {
        if (!feeds.fedBeside(fuse, node)) {
            return Optional.empty();
        }
        Set<String> posts = new HashSet<>();
        nets.lifting(node).stream().filter(Nets.Source::isBank).forEach(bank -> posts.add(bank.plus()));
        boolean battery = posts.stream().anyMatch(post -> feeds.together(post, node));
        return feeds.nearest(
                        node,
                        at -> posts.contains(at) || (!battery && stepsDown(at, fuse)),
                        (run, to) -> !isProtected.test(run, to))
                .filter(way -> battery || way.metres() > 0)
                .map(way -> new FusePlace(school, 1000 * way.metres(), name(way.node()), battery));
    }

    /** Whether a conductor that is protected, or another fuse, brings current to a node. */
    private boolean stepsDown(String node, Device.Fuse fuse) {
        return feeds.wires().from(node).stream().anyMatch(edge -> {
            Device.Fuse other = edge.fuse();
            return other == null
                    ? edge.runs().stream().anyMatch(run -> isProtected.test(run, edge.across(node)))
                    : !other.equals(fuse) && feeds.feeds(other, node);
        });
    }

    /** The tag of the piece that a node belongs to. */
    static String name(String node) {
        int point = node.lastIndexOf('.');
        return point < 0 ? node : node.substring(0, point);
    }
}
