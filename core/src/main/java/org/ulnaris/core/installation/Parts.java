package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.Multigraph;

/**
 * A large installation in parts that can be seen at once: a bar and what hangs on it (ours). Where no bar divides it, the piece with the
 * most cables does. Every cable is in one part; a piece is in one, too, unless parts meet there.
 */
public final class Parts {
    /** The most cables of a part. */
    public static final int MOST_CABLES = 60;

    private final Graph<String, Joint> graph = new Multigraph<>(null, null, false);
    private final List<Joint> joints;
    private final Set<String> hubs;

    /**
     * What joins two pieces: a cable, or a fuse on a post.
     *
     * @param tag its tag
     * @param a tag of a piece
     * @param b tag of another
     */
    public record Joint(String tag, String a, String b) {}

    /**
     * A part.
     *
     * @param hub tag of the piece on which it hangs; empty for pieces that hang on none
     * @param number which part of what hangs there, from 1
     * @param of how many such parts there are
     * @param joints tags of what it joins
     * @param pieces tags of its pieces
     */
    public record Part(String hub, int number, int of, Set<String> joints, Set<String> pieces) {
        private boolean takes(Part other) {
            return !equals(other)
                    && joints.size() + other.joints.size() <= MOST_CABLES
                    && !Collections.disjoint(pieces, other.pieces);
        }

        private Part with(Part other) {
            return new Part(hub, number, of, union(joints, other.joints), union(pieces, other.pieces));
        }

        private static Set<String> union(Set<String> some, Set<String> others) {
            return Stream.concat(some.stream(), others.stream()).collect(Collectors.toCollection(LinkedHashSet::new));
        }
    }

    /** Pieces that hang together once the hubs are gone, with all that joins them to one another and to hubs. */
    private record Branch(Set<String> pieces, List<Joint> joints) {
        int size() {
            return Math.max(1, joints.size());
        }
    }

    private Parts(Collection<String> pieces, Set<String> bars, List<Joint> joints) {
        this.joints = joints;
        this.hubs = new LinkedHashSet<>(bars);
        pieces.forEach(graph::addVertex);
        joints.forEach(joint -> graph.addEdge(joint.a(), joint.b(), joint));
    }

    /**
     * The parts of an installation.
     *
     * @param pieces tags of its pieces, in their order
     * @param bars tags of those that are bars
     * @param joints what joins them, each tag once, each between two different pieces
     * @return the parts by their hubs in the order of the pieces, what hangs on none last
     * @throws IllegalArgumentException when something is joined to a piece that is not there, or to itself
     */
    public static List<Part> of(List<String> pieces, Set<String> bars, List<Joint> joints) {
        return new Parts(pieces, bars, joints).parts();
    }

    private List<Part> parts() {
        List<Branch> branches = branches();
        for (Optional<String> hub = nextHub(branches); hub.isPresent(); hub = nextHub(branches)) {
            hubs.add(hub.get());
            branches = branches();
        }
        Map<String, List<Branch>> byHome = byHome(branches);
        List<Part> parts = new ArrayList<>();
        graph.vertexSet().stream()
                .filter(byHome::containsKey)
                .forEach(hub -> parts.addAll(inParts(hub, Objects.requireNonNull(byHome.get(hub)))));
        parts.addAll(inParts("", byHome.getOrDefault("", List.of())));
        return together(parts);
    }

    /** Links between hubs alone need no picture of their own where a part that they meet has room for them. */
    private List<Part> together(List<Part> parts) {
        List<Part> all = new ArrayList<>(parts);
        for (Part links : parts) {
            if (links.of() == 1 && all.contains(links) && hubs.containsAll(links.pieces())) {
                all.stream().filter(part -> part.takes(links)).findFirst().ifPresent(host -> {
                    all.set(all.indexOf(host), host.with(links));
                    all.remove(links);
                });
            }
        }
        return all;
    }

    private List<Branch> branches() {
        List<Branch> branches = new ArrayList<>();
        Set<String> others = new LinkedHashSet<>(graph.vertexSet());
        others.removeAll(hubs);
        Map<String, Branch> of = new HashMap<>();
        for (Set<String> pieces : new ConnectivityInspector<>(new AsSubgraph<>(graph, others)).connectedSets()) {
            Branch branch = new Branch(pieces, new ArrayList<>());
            pieces.forEach(piece -> of.put(piece, branch));
            branches.add(branch);
        }
        for (Joint joint : joints) {
            Branch branch = of.getOrDefault(joint.a(), of.get(joint.b()));
            if (branch == null) {
                branches.add(new Branch(Set.of(), new ArrayList<>(List.of(joint))));
            } else {
                branch.joints().add(joint);
            }
        }
        hubs.stream()
                .filter(hub -> graph.degreeOf(hub) == 0)
                .forEach(hub -> branches.add(new Branch(Set.of(hub), List.of())));
        return branches;
    }

    /** The piece with the most cables of a branch that is too large; of equals the first by its tag. */
    private Optional<String> nextHub(List<Branch> branches) {
        return branches.stream()
                .filter(branch -> branch.size() > MOST_CABLES)
                .flatMap(branch -> branch.pieces().stream())
                .max(Comparator.comparing(graph::degreeOf).thenComparing(Comparator.reverseOrder()));
    }

    private Set<String> hubsOf(Branch branch) {
        return Stream.concat(
                        branch.pieces().stream(),
                        branch.joints().stream().flatMap(joint -> Stream.of(joint.a(), joint.b())))
                .filter(hubs::contains)
                .collect(Collectors.toSet());
    }

    /**
     * A branch between several hubs hangs on the one that fewest hang on, of equals on the first: a load between its fuse block and the common
     * return at the block.
     */
    private Map<String, List<Branch>> byHome(List<Branch> branches) {
        List<Set<String>> touched = branches.stream().map(this::hubsOf).toList();
        Map<String, Long> hanging =
                touched.stream().flatMap(Set::stream).collect(Collectors.groupingBy(hub -> hub, Collectors.counting()));
        List<String> order = List.copyOf(graph.vertexSet());
        Comparator<String> fewest = Comparator.comparing(hub -> Objects.requireNonNull(hanging.get(hub)));
        Map<String, List<Branch>> homes = new HashMap<>();
        for (int i = 0; i < branches.size(); i++) {
            String home = touched.get(i).stream()
                    .min(fewest.thenComparing(order::indexOf))
                    .orElse("");
            homes.computeIfAbsent(home, none -> new ArrayList<>()).add(branches.get(i));
        }
        return homes;
    }

    private List<Part> inParts(String hub, List<Branch> branches) {
        List<List<Branch>> groups = new ArrayList<>();
        int size = MOST_CABLES;
        for (Branch branch : branches) {
            if (size + branch.size() > MOST_CABLES) {
                groups.add(new ArrayList<>());
                size = 0;
            }
            groups.get(groups.size() - 1).add(branch);
            size += branch.size();
        }
        List<Part> parts = new ArrayList<>();
        for (List<Branch> group : groups) {
            Set<String> tags = new LinkedHashSet<>();
            Set<String> pieces = new HashSet<>(hub.isEmpty() ? Set.of() : Set.of(hub));
            for (Branch branch : group) {
                pieces.addAll(branch.pieces());
                branch.joints().forEach(joint -> {
                    tags.add(joint.tag());
                    pieces.add(joint.a());
                    pieces.add(joint.b());
                });
            }
            parts.add(new Part(hub, parts.size() + 1, groups.size(), tags, pieces));
        }
        return parts;
    }
}
