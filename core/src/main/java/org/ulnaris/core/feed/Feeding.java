package org.ulnaris.core.feed;

import org.ulnaris.core.installation.Nets;

/**
 * How an installation is fed.
 *
 * @param nets what its conductors join
 * @param feeds what can flow into each for good
 * @param shorts what short circuits draw
 */
public record Feeding(Nets nets, Feeds feeds, ShortCircuits shorts) {}
