package org.ulnaris.core.feed;

import org.ulnaris.core.installation.Device;

/**
 * The side of a fuse from which it is fed.
 *
 * @param fuse the fuse
 * @param near its terminal on that side
 * @param feed what can flow into that terminal
 */
public record FuseSide(Device.Fuse fuse, String near, Feeds.Feed feed) {}
