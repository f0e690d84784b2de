package org.ulnaris.core.worked;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.sizing.SizeChoice;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;

/** Plans the ends of a job's cables; what was planned from the same input before is taken as it is. */
final class CablePlanner {
    private final Ground ground;
    private final Shop shop;
    private final Map<String, TerminalMetal> metals = new HashMap<>();

    CablePlanner(JobModel model) {
        this.ground = model.ground();
        this.shop = model.shop();
        for (Piece piece : model.pieces()) {
            TerminalMetal metal = piece.metal();
            if (metal != null) {
                metals.put(piece.device().tag(), metal);
            }
        }
    }

    /** A cable with what it carries, its size and its ends. */
    record Planned(CableModel cable, Carried carried, SizeChoice size, PlanInput input, CablePlan plan) {
        String tag() {
            return cable.tag();
        }

        WorkedCable with(String circuit, List<JobFinding> alone, List<JobFinding> all) {
            return new WorkedCable(cable, carried, circuit, size, input, plan, alone, all);
        }
    }

    /** Until a size is said nothing can be chosen for the ends: they stay bare. */
    Planned plan(CableModel cable, Carried carried, SizeChoice size, @Nullable WorkedCable before) {
        Shop from = WorkedCable.sizeSaid(carried, size).isPresent() ? shop : Shop.EMPTY;
        PlanInput input = input(cable, carried, size, from);
        CablePlan plan = before != null && before.input().equals(input) ? before.plan() : CablePlan.of(input);
        return new Planned(cable, carried, size, input, plan);
    }

    private PlanInput input(CableModel cable, Carried carried, SizeChoice size, Shop from) {
        return new PlanInput(
                CableGeometry.of(size.conductor(), cable.outerMm()),
                new PlanInput.Route(1000 * cable.way().lengthM(), cable.way().slackMm(), cable.clockDeg()),
                demand(cable, Side.A, from),
                demand(cable, Side.B, from),
                from,
                new PlanInput.Circumstances(
                        new ContactDemand.Load(carried.currentA(), size.inUse().ampacityA()),
                        ground.place(),
                        ground.sealedOnly(),
                        ground.fullStrokeOnly(),
                        cable.laying().conditions().conduit(),
                        ground.marks(),
                        ground.bolting(),
                        ground.system().house().bendDiameters()));
    }

    private EndDemand demand(CableModel cable, Side side, Shop from) {
        EndModel end = cable.end(side);
        Landing landing = end.landing().leavingAt(cable.leavingDeg(side));
        EndModel.Pick pick = end.contact();
        return new EndDemand(
                landing,
                end.torque(),
                named(from.lugs(), Lug::code, end.lugCode()),
                named(from.dies(), Die::tag, end.dieTag()),
                pick == null
                        ? null
                        : new EndDemand.ContactWish(
                                pick.family(),
                                named(from.contacts(), Contact::code, pick.code()),
                                pick.method(),
                                pick.mating()),
                end.conductors(),
                end.said(),
                cable.points()
                        .terminal(side)
                        .map(terminal -> metals.get(terminal.device()))
                        .orElse(null));
    }

    /** The part called {@code wanted}; null where none is wanted, or there is none such any more. */
    static <T> @Nullable T named(List<T> parts, Function<T, String> name, @Nullable String wanted) {
        return wanted == null
                ? null
                : parts.stream()
                        .filter(part -> Objects.equals(name.apply(part), wanted))
                        .findFirst()
                        .orElse(null);
    }
}
