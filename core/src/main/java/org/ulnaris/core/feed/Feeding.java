package org.ulnaris.core.feed;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;

/** How an installation is fed, whatever the sizes of its conductors. Several threads may ask at once. */
public final class Feeding {
    private final Installation installation;
    private final Nets nets;
    private final Feeds feeds;
    private final Map<String, FedCable> cables = new LinkedHashMap<>();
    private final Map<Set<String>, Map<String, ReturnDrive.Drive>> drives = new ConcurrentHashMap<>();

    public Feeding(Installation installation, Nets nets) {
        this.installation = installation;
        this.nets = nets;
        this.feeds = new Feeds(installation, nets);
        for (Run run : installation.runs()) {
            if (nets.live(run.from().node())) {
                Fed one = feeds.of(run);
                if (one.reached()) {
                    cables.put(run.tag(), FedCable.of(feeds, one, installation.system()));
                }
            }
        }
    }

    public Nets nets() {
        return nets;
    }

    public Feeds feeds() {
        return feeds;
    }

    /** The conductors on the side of plus that a source feeds, by their tags in the order of the installation. */
    public Map<String, FedCable> cables() {
        return Collections.unmodifiableMap(cables);
    }

    /** Whether {@code run} lies on the side of minus. */
    public boolean isReturn(Run run) {
        return nets.returns(run.from().node());
    }

    /** What drives each return, by its tag, where conductors that are not protected end on the nodes {@code unprotected}. */
    public Map<String, ReturnDrive.Drive> drives(Set<String> unprotected) {
        return drives.computeIfAbsent(unprotected, nodes -> {
            ReturnDrive drive = new ReturnDrive(feeds, nets, installation.devices(), nodes);
            Map<String, ReturnDrive.Drive> driven = new ConcurrentHashMap<>();
            installation.runs().parallelStream()
                    .filter(this::isReturn)
                    .forEach(run -> drive.of(run).ifPresent(found -> driven.put(run.tag(), found)));
            return driven;
        });
    }
}
