package org.ulnaris.core.network;

import java.util.List;

/**
 * The drop from a source's terminals to a load's, out and back, with the share of each element on the way.
 *
 * @param source the source
 * @param sourceV voltage at the source's terminals, V
 * @param loadV voltage at the load, V
 * @param shares elements in the order in which the current passes them, the load between out and back
 */
public record PathDrop(String source, double sourceV, double loadV, List<Share> shares) {
    /**
     * What one element eats.
     *
     * @param id the element
     * @param dropV its drop along the path, V
     * @param back whether it lies on the way back
     */
    public record Share(String id, double dropV, boolean back) {}

    /** Out and back together, V. */
    public double dropV() {
        return sourceV - loadV;
    }
}
