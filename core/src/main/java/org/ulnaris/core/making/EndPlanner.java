package org.ulnaris.core.making;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.StripLength;
import org.ulnaris.core.tooling.Toolbox;

/** Plans an end: lug, dies, strip, sleeve, torque, hardware; a small terminal where no lug takes the cable and nobody has said what it ends with. */
public final class EndPlanner {
    private static final double SMALLEST_WASHER_EDGE_MM = 0.1;

    private EndPlanner() {}

    /** The plan of the end {@code side} of {@code cable}. */
    public static EndPlan plan(Side side, PlanInput input) {
        EndDemand demand = input.demand(side);
        CableGeometry cable = input.cable();
        if (demand.contact() != null) {
            return contact(side, demand, demand.contact(), input);
        }
        LugDemand asked = new LugDemand(
                cable,
                demand.conductors(),
                demand.landing(),
                input.circumstances().place(),
                input.circumstances().bendDiameters());
        Rankings rankings = input.shop().rankings();
        MarkRule marks = input.circumstances().marks();
        Handiness handy = rankings.handy(asked.areaMm2(), marks);
        List<LugFit> lugs = rankings.lugs(asked, marks);
        if (!demand.said() && !anyTakes(lugs)) {
            EndDemand.ContactWish small =
                    new EndDemand.ContactWish(Family.SMALL, null, JoinMethod.CRIMP, ContactDemand.Mating.UNSAID);
            EndPlan terminal = contact(side, demand, small, input);
            if (terminal.contact() != null && terminal.contact().fit().takes()) {
                return terminal;
            }
        }
        LugFit fit = fitInUse(demand, asked, lugs);
        if (fit == null) {
            return bare(side, demand, lugs, handy, input);
        }
        List<Crimp> dies = rankings.dies(asked.areaMm2(), fit.lug().barrel(), marks);
        MatchedLug match =
                match(fit, crimpInUse(demand.chosenDie(), dies, input.shop().toolbox()), input, demand);
        return new EndPlan(
                side,
                demand.landing(),
                demand.torque(input.circumstances().bolting()),
                lugs,
                dies,
                List.of(),
                match,
                List.of(),
                null,
                handy);
    }

    /** An end at which nothing stands. */
    private static EndPlan bare(Side side, EndDemand demand, List<LugFit> lugs, Handiness handy, PlanInput input) {
        return new EndPlan(
                side,
                demand.landing(),
                demand.torque(input.circumstances().bolting()),
                lugs,
                List.of(),
                List.of(),
                null,
                List.of(),
                null,
                handy);
    }

    /** Whether a lug of the catalogue takes the conductor and passes the stud. */
    private static boolean anyTakes(List<LugFit> ranked) {
        return !ranked.isEmpty() && ranked.get(0).verdict() != Verdict.STOP;
    }

    private static EndPlan contact(Side side, EndDemand demand, EndDemand.ContactWish wish, PlanInput input) {
        ContactDemand asked = new ContactDemand(
                input.cable(),
                input.circumstances().load(),
                input.circumstances().place(),
                wish.method(),
                wish.mating(),
                input.circumstances().sealedOnly());
        double areaMm2 = input.cable().conductor().size().areaMm2();
        Rankings rankings = input.shop().rankings();
        MarkRule marks = input.circumstances().marks();
        List<ContactFit> ranked = rankings.contacts(wish.family(), asked, marks);
        if (ranked.isEmpty()) {
            return bare(side, demand, List.of(), rankings.handy(areaMm2, marks), input);
        }
        Contact chosen = wish.chosen();
        ContactFit fit =
                chosen != null && chosen.family() == wish.family() ? new ContactFit(chosen, asked) : ranked.get(0);
        List<Die> all = input.shop().dies();
        Optional<Barrel> tube = fit.contact().tube();
        List<Crimp> dies = tube.map(one -> rankings.dies(areaMm2, one, marks)).orElse(List.of());
        List<Die> shapes = tube.isPresent() ? List.of() : byShape(all, wish.family());
        Crimp crimp = crimpInUse(demand.chosenDie(), dies, input.shop().toolbox());
        Die die = demand.chosenDie() != null ? demand.chosenDie() : crimp != null ? crimp.die() : own(shapes, wish);
        return new EndPlan(
                side,
                demand.landing(),
                demand.torque(input.circumstances().bolting()),
                List.of(),
                dies,
                shapes,
                null,
                ranked,
                new MatchedContact(fit, die, crimp, sleeve(fit.contact(), crimp, input)),
                rankings.handy(areaMm2, marks));
    }

    private static @Nullable Die own(List<Die> shapes, EndDemand.ContactWish wish) {
        return shapes.isEmpty() || shapes.get(0).shape() != wish.family().dies() ? null : shapes.get(0);
    }

    private static List<Die> byShape(List<Die> dies, Family family) {
        return dies.stream()
                .sorted(Comparator.comparing(die -> die.shape() != family.dies()))
                .toList();
    }

    /** Over a heavy splice: its whole tube and the insulation of both cables. */
    private static @Nullable ShrinkChoice sleeve(Contact contact, @Nullable Crimp crimp, PlanInput input) {
        Barrel tube = contact.family() == Family.HEAVY_SPLICE ? contact.tube().orElse(null) : null;
        if (tube == null) {
            return null;
        }
        double cableMm = input.cable().outerMm();
        double growth = crimp == null ? 0 : crimp.growthMm();
        double overlap = new ShrinkChoice.Cover(0, tube.outerMm(), cableMm, 0).overlapMm();
        ShrinkChoice.Cover cover = new ShrinkChoice.Cover(
                tube.outerMm(), tube.outerMm(), cableMm, 2 * (tube.depthMm() + growth) + overlap);
        return ShrinkChoice.choose(input.shop().tubes(), cover);
    }

    private static @Nullable LugFit fitInUse(EndDemand demand, LugDemand asked, List<LugFit> ranked) {
        Lug chosen = demand.chosenLug();
        if (chosen != null) {
            return LugFit.of(chosen, asked);
        }
        return ranked.isEmpty() ? null : ranked.get(0);
    }

    /** The dies that somebody chose; else the best that are sound and that a tool closes; else the best. */
    private static @Nullable Crimp crimpInUse(@Nullable Die chosen, List<Crimp> ranked, Toolbox toolbox) {
        return ranked.stream()
                .filter(crimp -> crimp.die().equals(chosen))
                .findFirst()
                .or(() -> ranked.stream()
                        .filter(crimp -> DieChooser.isSound(crimp) && toolbox.closes(crimp))
                        .findFirst())
                .or(() -> ranked.stream().findFirst())
                .orElse(null);
    }

    private static MatchedLug match(LugFit fit, @Nullable Crimp crimp, PlanInput input, EndDemand demand) {
        Lug lug = fit.lug();
        double growth = crimp == null ? 0 : crimp.growthMm();
        ShrinkChoice.Cover cover = new ShrinkChoice.Cover(
                lug.pad().widthMm(),
                lug.barrel().outerMm(),
                input.cable().outerMm(),
                lug.barrel().depthMm() + 2 * growth);
        Landing landing = demand.landing();
        double holeMm =
                Math.min(lug.pad().holeMm(), landing.stud().hardware().washerOuterMm() - SMALLEST_WASHER_EDGE_MM);
        Bolting bolting = input.circumstances().bolting();
        HardwareStack stack = new HardwareStack(landing.stud(), lug.pad().thicknessMm());
        return new MatchedLug(
                fit,
                crimp,
                StripLength.stripMm(lug.barrel(), growth),
                ShrinkChoice.choose(input.shop().tubes(), cover),
                joint(demand, holeMm, bolting),
                demand.tightened(bolting).finding(demand.makerTorque()).orElse(null),
                stack,
                stack.findings(landing.studLengthMm()),
                crimp == null ? null : tooling(input.shop().toolbox(), crimp),
                crimp == null
                        ? List.of(noDies(input.shop().dies().isEmpty()))
                        : input.shop()
                                .toolbox()
                                .findings(crimp, input.circumstances().fullStrokeOnly()));
    }

    /** The nut on its stud; null where no torque is known, or the post creeps. */
    private static @Nullable BoltedJoint joint(EndDemand demand, double holeMm, Bolting bolting) {
        TorqueSpec torque = demand.torque(bolting);
        return torque == null || demand.tightened(bolting).creeps()
                ? null
                : new BoltedJoint(demand.landing().stud(), torque.nominalNm(), holeMm, bolting.on(demand.post()));
    }

    /** Nothing presses the lug: not known while no dies are entered at all. */
    private static Finding noDies(boolean none) {
        return Finding.said(
                FindingCode.DIE_MISSING,
                none ? Verdict.OPEN : Verdict.STOP,
                "",
                none ? note("EndPlanner.no-dies-are") : note("EndPlanner.no-dies-of"),
                Source.own(note("EndPlanner.dies-of-the")));
    }

    private static MatchedLug.@Nullable Tooling tooling(Toolbox toolbox, Crimp crimp) {
        return toolbox.held(crimp.die().tag())
                .flatMap(held -> toolbox.toolFor(crimp).map(tool -> new MatchedLug.Tooling(tool, held)))
                .orElse(null);
    }
}
