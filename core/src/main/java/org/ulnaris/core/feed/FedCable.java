package org.ulnaris.core.feed;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.core.feed.Feeds.Border;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.protection.ProtectedCable.Margins;
import org.ulnaris.core.sizing.Rung;

/**
 * A conductor with what can flow into it, held against what it stands.
 *
 * @param fed what can flow in
 * @param ahead the fuses to which alone it leads; none where it leads to anything else
 * @param near whether it is no longer than such a fuse may sit from what feeds it
 * @param capped whether no battery feeds it: chargers and panels give no more than they are rated for, even into a short circuit
 * @param margins how far a rating stays from load and ampacity
 */
public record FedCable(Fed fed, List<Border> ahead, boolean near, boolean capped, Margins margins) {
    /** The conductor {@code fed} of an installation under {@code system}. */
    public static FedCable of(Feeds feeds, Fed fed, Installation.System system) {
        Placement.School school = system.house().placement(system.ruleSet());
        return new FedCable(
                fed,
                feeds.ahead(fed),
                1000 * fed.run().cutM() <= Placement.limitMm(school, Placement.Run.OPEN),
                !feeds.byBattery(fed.near()),
                system.house().margins());
    }

    /** Whether only the fuses ahead of it limit what it carries. */
    public boolean isStub() {
        return !ahead.isEmpty() && (near || fed.worst().unlimited());
    }

    /** The same in a size: the land code leaves small conductors no margin. */
    public FedCable in(Rung size) {
        double over = size.overAmpacity(margins.overAmpacity());
        return over == margins.overAmpacity()
                ? this
                : new FedCable(fed, ahead, near, capped, new Margins(margins.overLoad(), over));
    }

    /** Whether its size can be held against anything: not where a bank feeds it and nothing opens. */
    public boolean isLimited() {
        return isStub() || !fed.worst().unlimited();
    }

    /**
     * All that can flow in against what it may carry.
     *
     * @param ampacityA what it may carry with all that lie beside it, A
     * @param sizedForA what it is sized for, A
     */
    public Finding limit(double ampacityA, double sizedForA) {
        return limit(fed.worst(), ampacityA, sizedForA);
    }

    /** Only {@code feed}, at one of its ends. */
    public Finding limit(Feed feed, double ampacityA, double sizedForA) {
        return new ConductorLimit(feed, ampacityA, margins.overLoad() * sizedForA, margins.overAmpacity()).finding();
    }

    /** Rating of its circuit, A. */
    public double circuitA() {
        return isStub() ? letThrough().circuitA() : fed.worst().circuitA();
    }

    /** What the fuses ahead of it let through, against what it may carry. */
    public Finding carries(double ampacityA, double sizedForA) {
        return limit(letThrough(), ampacityA, sizedForA);
    }

    private Feed letThrough() {
        List<Device.Fuse> opening = ahead.stream()
                .map(Border::fuse)
                .sorted(Comparator.comparing(Device::tag))
                .toList();
        double aheadA = opening.stream().mapToDouble(Device.Fuse::ratingA).sum();
        return new Feed(Math.min(aheadA, fed.worst().limitA()), opening, List.of());
    }

    /**
     * The fuse that takes longest of those that open; each guards its share of the conductor. Empty where none opens, or where what can
     * flow is within what the conductor carries for good.
     */
    public Optional<Finding> withstand(ProtectedCable guarded) {
        if (capped && mostA(guarded.supply()) <= guarded.cable().ampacityA()) {
            return Optional.empty();
        }
        Feed feed = fed.worst();
        return feed.fuses().stream()
                .map(fuse -> {
                    double share = fuse.ratingA() / feed.limitA();
                    return new FuseCheck(fuse.family(), fuse.ratingA(), guarded.share(Math.min(1, share)));
                })
                .map(FuseCheck::withstandFinding)
                .max(Comparator.comparing(Finding::verdict)
                        .thenComparingDouble(finding -> finding.figure() / finding.limit()));
    }

    /** What chargers and panels can drive through it: those on one side, or all the others on the other, A. */
    private double mostA(ProtectedCable.Supply supply) {
        double allA = Math.max(supply.faultNearA(), supply.faultFarMostA());
        return Stream.of(fed.atFrom(), fed.atTo())
                .filter(feed -> feed.fuses().isEmpty())
                .map(Feed::limitA)
                .findFirst()
                .map(sideA -> Math.max(sideA, allA - sideA))
                .orElse(allA);
    }
}
