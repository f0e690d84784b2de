package org.ulnaris.core.rating;

import org.ulnaris.core.conductor.ConductorSize;

/**
 * What a table says for a size before any correction.
 *
 * @param row the table's row that was used
 * @param ampacityA its figure, A
 * @param exact false where the table has no such size and the largest row not above its area stands in
 */
public record TableRating(ConductorSize row, double ampacityA, boolean exact) {}
