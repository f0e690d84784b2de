package org.ulnaris.core.overcurrent;

import java.util.Comparator;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
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

    /** The worse of both sides; empty where no source reaches it but through what is protected. */
    Optional<FusePlace> of(Device.Fuse fuse) {
        return Stream.of(Port.IN, Port.OUT)
                .map(port -> fuse.at(port).node())
                .flatMap(node -> from(fuse, node).stream())
                .max(Comparator.comparing(FusePlace::verdict).thenComparingDouble(FusePlace::unfusedMm));
    }

    private Optional<FusePlace> from(Device.Fuse fuse, String node) {
        if (!feeds.fedBeside(fuse, node)) {
            return Optional.empty();
        }
        Set<String> posts = new HashSet<>();
        nets.lifting(node).stream().filter(Nets.Source::isBank).forEach(bank -> posts.add(bank.plus()));
        boolean battery = feeds.part(node, Set.of()).stream().anyMatch(posts::contains);
        return feeds.nearest(
                        node,
                        at -> posts.contains(at) || (!battery && stepsDown(at, fuse)),
                        (run, to) -> !isProtected.test(run, to))
                .filter(way -> battery || way.metres() > 0)
                .map(way -> new FusePlace(school, 1000 * way.metres(), name(way.node()), battery));
    }

    /** Whether a conductor that is protected, or another fuse, brings current to a node. */
    private boolean stepsDown(String node, Device.Fuse fuse) {
        return feeds.from(node).stream().anyMatch(way -> {
            Run run = way.run();
            Device.Fuse other = way.fuse();
            return run != null && isProtected.test(run, way.to())
                    || other != null && !other.equals(fuse) && feeds.feeds(other, node);
        });
    }

    private static String name(String node) {
        int point = node.lastIndexOf('.');
        return point < 0 ? node : node.substring(0, point);
    }
}
