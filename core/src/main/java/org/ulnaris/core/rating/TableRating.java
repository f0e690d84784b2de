package org.ulnaris.core.rating;

import org.ulnaris.core.conductor.ConductorSize;

/**
 * What a table says for a size before any correction.
 *
 * @param row the table's row that was used
 * @param ampacityA its figure, A
 * @param exact false where the table has no such size and the largest row not above its area stands in
 * @param beyond whether the table ends below the size: nothing is counted for what is beyond
 */
public record TableRating(ConductorSize row, double ampacityA, boolean exact, boolean beyond) {}
