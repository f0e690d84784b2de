package org.ulnaris.core.network;

/**
 * Name and ends of an element.
 *
 * @param id name, unique in the network
 * @param from node at which the current enters
 * @param to node at which the current leaves
 */
public record Branch(String id, String from, String to) {
    public Branch {
        if (id.isBlank() || from.isBlank() || to.isBlank()) {
            throw new IllegalArgumentException("id and nodes must not be blank; have '" + id + "'");
        }
        if (from.equals(to)) {
            throw new IllegalArgumentException("'" + id + "' must join two nodes; both ends are at '" + to + "'");
        }
    }
}
