package org.ulnaris.core.network;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Elements between named nodes.
 *
 * @param elements in any order; their ids differ
 */
public record Network(List<Element> elements) {
    public Network {
        elements = List.copyOf(elements);
        Set<String> ids = new HashSet<>();
        for (Element element : elements) {
            if (!ids.add(element.branch().id())) {
                throw new IllegalArgumentException(
                        "two elements are named '" + element.branch().id() + "'");
            }
        }
    }

    /** All nodes, in alphabetical order. */
    public List<String> nodes() {
        return elements.stream()
                .flatMap(element ->
                        Stream.of(element.branch().from(), element.branch().to()))
                .collect(Collectors.toCollection(java.util.TreeSet::new))
                .stream()
                .toList();
    }
}
