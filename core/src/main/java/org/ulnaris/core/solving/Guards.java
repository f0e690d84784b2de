package org.ulnaris.core.solving;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.feed.FedCable;
import org.ulnaris.core.feed.Feeding;
import org.ulnaris.core.feed.ReturnDrive;
import org.ulnaris.core.feed.ShortCircuits;
import org.ulnaris.core.feed.SideBySide;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.Guard;
import org.ulnaris.core.sizing.Rung;

/** What the sizes of each conductor are held against, by what feeds it: its own sizes do not change that, those of the outgoing cable do. */
final class Guards {
    private static final double LEAST_A = 0.001;

    private final Installation installation;
    private final Nets nets;
    private final Feeding feeding;

    Guards(Installation installation, Nets nets) {
        this.installation = installation;
        this.nets = nets;
        this.feeding = new Feeding(installation, nets);
    }

    Feeding feeding() {
        return feeding;
    }

    /** Nodes on which a conductor ends that is not protected. */
    Set<String> unprotected(List<RunResult> sized) {
        Set<String> nodes = new HashSet<>();
        for (RunResult result : sized) {
            FedCable cable = feeding.cables().get(result.run().tag());
            if (cable != null
                    && (cable.fed().worst().unlimited()
                            || cable.in(result.inUse())
                                    .limit(
                                            ampacityA(result.run(), result.inUse()),
                                            Math.max(LEAST_A, result.sizedForA()))
                                    .stops())) {
                nodes.add(cable.fed().near());
                nodes.add(cable.fed().far());
            }
        }
        return nodes;
    }

    /** What guards {@code run}, not a return; null where nothing is known to. */
    @Nullable
    Guard outgoing(Run run, ProtectedCable.Load load, @Nullable ShortCircuits shorts) {
        FedCable cable = feeding.cables().get(run.tag());
        return cable != null && cable.isLimited() ? new Outgoing(cable, load, shorts) : null;
    }

    /** What guards the return {@code run}; null where nothing drives it. */
    @Nullable
    Guard back(Run run, ReturnDrive.@Nullable Drive drive, @Nullable ShortCircuits shorts, Set<String> unprotected) {
        return drive == null ? null : new Return(run, drive, shorts, unprotected);
    }

    /** Of a size of {@code run} with all that lie beside it: each of the size chosen for it by hand, else of the same. */
    private double ampacityA(Run run, Rung rung) {
        List<SideBySide.Carrier> carriers = feeding.feeds().bundle(run).stream()
                .map(one -> carrier(one, one.equals(run) || one.fixed() == null ? rung : fixed(one)))
                .toList();
        return Math.max(LEAST_A, carriers.size() < 2 ? rung.protectableA() : SideBySide.ampacityA(carriers));
    }

    private Rung fixed(Run run) {
        CableDemand demand = run.laying().demand(nets.system(run, installation.system()), run.lengthM(), 1, null, null);
        return CableSizer.rung(demand, Objects.requireNonNull(run.fixed()));
    }

    private static SideBySide.Carrier carrier(Run run, Rung rung) {
        return new SideBySide.Carrier(rung.protectableA(), rung.ohm(run.lengthM()));
    }

    private final class Outgoing implements Guard {
        private final FedCable cable;
        private final ProtectedCable.Load load;
        private final @Nullable ShortCircuits shorts;

        Outgoing(FedCable cable, ProtectedCable.Load load, @Nullable ShortCircuits shorts) {
            this.cable = cable;
            this.load = load;
            this.shorts = shorts;
        }

        @Override
        public Finding limit(Rung rung) {
            double ampacityA = ampacityA(cable.fed().run(), rung);
            FedCable sized = cable.in(rung);
            return sized.isStub()
                    ? sized.carries(ampacityA, load.continuousA())
                    : sized.limit(ampacityA, load.continuousA());
        }

        @Override
        public double circuitA() {
            return cable.circuitA();
        }

        @Override
        public Optional<Finding> shortCircuit(Rung rung) {
            if (shorts == null || cable.isStub()) {
                return Optional.empty();
            }
            Run run = cable.fed().run();
            return cable.withstand(new ProtectedCable(
                    new ProtectedCable.Cable(
                            rung.size().areaMm2(),
                            ampacityA(run, rung),
                            run.laying().shortCircuitK()),
                    load,
                    shorts.supply(cable.fed(), rung.ohm(run.lengthM())),
                    cable.margins()));
        }
    }

    private final class Return implements Guard {
        private final Run run;
        private final ReturnDrive.Drive drive;
        private final @Nullable ShortCircuits shorts;
        private final Set<String> unprotected;

        Return(Run run, ReturnDrive.Drive drive, @Nullable ShortCircuits shorts, Set<String> unprotected) {
            this.run = run;
            this.drive = drive;
            this.shorts = shorts;
            this.unprotected = unprotected;
        }

        @Override
        public Finding limit(Rung rung) {
            return drive.finding(
                    ampacityA(run, rung),
                    rung.overAmpacity(installation.system().house().margins().overAmpacity()));
        }

        @Override
        public double circuitA() {
            return drive.circuitA();
        }

        @Override
        public Optional<Finding> shortCircuit(Rung rung) {
            return shorts == null
                    ? Optional.empty()
                    : feeding.withstand(
                            run,
                            new ProtectedCable.Cable(
                                    rung.size().areaMm2(),
                                    ampacityA(run, rung),
                                    run.laying().shortCircuitK()),
                            shorts,
                            unprotected);
        }
    }
}
