package org.ulnaris.core.solving;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.feed.FedCable;
import org.ulnaris.core.feed.Feeding;
import org.ulnaris.core.feed.ReturnDrive;
import org.ulnaris.core.feed.ShortCircuits;
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
    private final Feeding feeding;

    Guards(Installation installation, Nets nets) {
        this.installation = installation;
        this.feeding = new Feeding(installation, nets);
    }

    Feeding feeding() {
        return feeding;
    }

    /** What drives each return, now that the {@code outgoing} cables are sized. */
    Map<String, ReturnDrive.Drive> drives(List<RunResult> outgoing) {
        return feeding.drives(unprotected(outgoing));
    }

    /** Nodes on which a conductor ends that is not protected. */
    private Set<String> unprotected(List<RunResult> sized) {
        Set<String> nodes = new HashSet<>();
        for (RunResult result : sized) {
            FedCable cable = feeding.cables().get(result.run().tag());
            if (cable != null
                    && (cable.fed().worst().unlimited()
                            || cable.limit(
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
    Guard back(Run run, ReturnDrive.@Nullable Drive drive) {
        return drive == null ? null : new Return(run, drive);
    }

    /** Of a size of {@code run} with all that lie beside it: as if all were the least of those chosen by hand, the others alike. */
    private double ampacityA(Run run, Rung rung) {
        List<Run> bundle = feeding.feeds().bundle(run);
        double least = rung.ampacityA();
        for (Run other : bundle) {
            ConductorSize fixed = other.fixed();
            if (fixed != null && run.fixed() != null && !other.equals(run)) {
                CableDemand demand = other.laying().demand(installation.system(), other.lengthM(), 1, null, null);
                least = Math.min(least, CableSizer.rung(demand, fixed).ampacityA());
            }
        }
        return Math.max(LEAST_A, least * Math.max(1, bundle.size()));
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
            return cable.isStub()
                    ? cable.carries(ampacityA, load.continuousA())
                    : cable.limit(ampacityA, load.continuousA());
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

        Return(Run run, ReturnDrive.Drive drive) {
            this.run = run;
            this.drive = drive;
        }

        @Override
        public Finding limit(Rung rung) {
            return drive.finding(
                    ampacityA(run, rung),
                    installation.system().house().margins().overAmpacity());
        }

        @Override
        public Optional<Finding> shortCircuit(Rung rung) {
            return Optional.empty();
        }
    }
}
