package org.ulnaris.core.making;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactChooser;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugChooser;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.StripLength;
import org.ulnaris.core.tooling.Toolbox;

/** Plans an end: lug, dies, strip, sleeve, torque, hardware. */
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
                input.circumstances().place());
        List<LugFit> lugs = LugChooser.rank(input.shop().lugs(), asked);
        LugFit fit = fitInUse(demand, asked, lugs);
        if (fit == null) {
            return new EndPlan(side, demand.landing(), demand.torque(), lugs, List.of(), null, List.of(), null);
        }
        List<Crimp> dies =
                DieChooser.rank(input.shop().dies(), asked.areaMm2(), fit.lug().barrel());
        MatchedLug match = match(fit, crimpInUse(demand.chosenDie(), dies), input, demand);
        return new EndPlan(side, demand.landing(), demand.torque(), lugs, dies, match, List.of(), null);
    }

    private static EndPlan contact(Side side, EndDemand demand, EndDemand.ContactWish wish, PlanInput input) {
        ContactDemand asked = new ContactDemand(
                input.cable(),
                input.circumstances().load(),
                input.circumstances().place(),
                wish.method(),
                wish.mating(),
                input.circumstances().sealedOnly());
        List<ContactFit> ranked = ContactChooser.rank(ContactCatalogue.shipped(), wish.family(), asked);
        Contact chosen = wish.chosen();
        ContactFit fit =
                chosen != null && chosen.family() == wish.family() ? new ContactFit(chosen, asked) : ranked.get(0);
        List<Die> dies = input.shop().dies();
        double areaMm2 = input.cable().conductor().size().areaMm2();
        Crimp crimp = fit.contact()
                .tube()
                .flatMap(tube -> pressed(demand.chosenDie(), dies, tube, areaMm2))
                .orElse(null);
        Die die = demand.chosenDie() != null
                ? demand.chosenDie()
                : crimp != null ? crimp.die() : shaped(dies, wish.family());
        return new EndPlan(
                side,
                demand.landing(),
                demand.torque(),
                List.of(),
                List.of(),
                null,
                ranked,
                new MatchedContact(fit, die, crimp, !dies.isEmpty()));
    }

    private static Optional<Crimp> pressed(@Nullable Die chosen, List<Die> dies, Barrel tube, double areaMm2) {
        return chosen != null && chosen.shape().forLugs()
                ? Optional.of(new Crimp(areaMm2, tube, chosen))
                : DieChooser.rank(dies, areaMm2, tube).stream().findFirst();
    }

    private static @Nullable Die shaped(List<Die> dies, Family family) {
        return dies.stream()
                .filter(die -> die.shape() == family.dies())
                .findFirst()
                .orElse(null);
    }

    private static @Nullable LugFit fitInUse(EndDemand demand, LugDemand asked, List<LugFit> ranked) {
        Lug chosen = demand.chosenLug();
        if (chosen != null) {
            return LugFit.of(chosen, asked);
        }
        return ranked.isEmpty() ? null : ranked.get(0);
    }

    private static @Nullable Crimp crimpInUse(@Nullable Die chosen, List<Crimp> ranked) {
        return ranked.stream()
                .filter(crimp -> crimp.die().equals(chosen))
                .findFirst()
                .orElse(ranked.isEmpty() ? null : ranked.get(0));
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
        HardwareStack stack = new HardwareStack(landing.stud(), lug.pad().thicknessMm());
        return new MatchedLug(
                fit,
                crimp,
                StripLength.stripMm(lug.barrel(), growth),
                ShrinkChoice.choose(input.shop().tubes(), cover),
                new BoltedJoint(landing.stud(), demand.torque().nominalNm(), holeMm),
                stack,
                stack.findings(landing.studLengthMm()),
                crimp == null ? null : tooling(input.shop().toolbox(), crimp),
                crimp == null
                        ? List.of()
                        : input.shop()
                                .toolbox()
                                .findings(crimp, input.circumstances().fullStrokeOnly()));
    }

    private static MatchedLug.@Nullable Tooling tooling(Toolbox toolbox, Crimp crimp) {
        return toolbox.held(crimp.die().tag())
                .flatMap(held -> toolbox.toolFor(crimp).map(tool -> new MatchedLug.Tooling(tool, held)))
                .orElse(null);
    }
}
