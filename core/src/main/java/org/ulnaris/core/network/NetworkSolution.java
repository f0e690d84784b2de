package org.ulnaris.core.network;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A solved network.
 *
 * @param network what was solved
 * @param references the reference of each part that is fed: the minus of its first source
 * @param nodeV voltage of each node over its part's reference; nodes of parts with a fault are absent
 * @param states state of each element by id; elements of parts with a fault are absent
 * @param faults parts that can't be fed; the maps belong to the solution, whoever makes it gives them away
 */
public record NetworkSolution(
        Network network,
        Set<String> references,
        Map<String, Double> nodeV,
        Map<String, ElementState> states,
        List<NetworkFault> faults) {
    public NetworkSolution {
        references = Set.copyOf(references);
        nodeV = Collections.unmodifiableMap(nodeV);
        states = Collections.unmodifiableMap(states);
        faults = List.copyOf(faults);
    }

    /**
     * State of the element {@code id}.
     *
     * @throws IllegalArgumentException when it is unknown or its part has a fault
     */
    public ElementState state(String id) {
        ElementState state = states.get(id);
        if (state == null) {
            throw new IllegalArgumentException("no state of '" + id + "'");
        }
        return state;
    }

    /** Heat made in resistors and wires, W. */
    public double lossW() {
        return network.elements().stream()
                .filter(Element::isWay)
                .map(element -> states.get(element.branch().id()))
                .filter(java.util.Objects::nonNull)
                .mapToDouble(ElementState::powerW)
                .sum();
    }

    /** Wires that carry more than brings them to the highest temperature that they may have; their own stands at that. */
    public List<String> tooHot() {
        return network.elements().stream()
                .filter(element -> element instanceof Element.Wire wire
                        && states.containsKey(wire.branch().id())
                        && Math.abs(state(wire.branch().id()).currentA())
                                > wire.warmth().ampacityA() * (1 + 1e-9))
                .map(element -> element.branch().id())
                .toList();
    }

    /** Whether every part is fed. */
    public boolean fed() {
        return faults.isEmpty();
    }
}
