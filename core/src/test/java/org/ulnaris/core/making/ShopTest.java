package org.ulnaris.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugChooser;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

class ShopTest {
    private static final Die TWELVE = new Die("H12", DieShape.HEX, 11.9, 5, LugMaterial.COPPER);

    @Test
    void isAValue() {
        assertThat(shop(Map.of("DIN 50 · M8", 2)))
                .isEqualTo(shop(Map.of("DIN 50 · M8", 2)))
                .hasSameHashCodeAs(shop(Map.of("DIN 50 · M8", 2)))
                .isNotEqualTo(shop(Map.of("DIN 50 · M8", 3)))
                .isNotEqualTo(shop(Map.of()));
    }

    @Test
    void endsThatAskAlikeShareOneRanking() {
        Shop shop = shop(Map.of());
        EndPlan light = EndPlanner.plan(Side.A, input(shop, 20, null));
        EndPlan heavy = EndPlanner.plan(Side.B, input(shop, 120, null));
        assertThat(heavy.lugs()).isSameAs(light.lugs());
        assertThat(heavy.dies()).isSameAs(light.dies());
        assertThat(heavy.handy()).isSameAs(light.handy());
        assertThat(EndPlanner.plan(Side.A, input(shop(Map.of()), 20, null)).lugs())
                .isNotSameAs(light.lugs())
                .extracting(fit -> fit.lug().code())
                .containsExactlyElementsOf(
                        light.lugs().stream().map(fit -> fit.lug().code()).toList());
    }

    @Test
    void aRankingIsThatOfTheChoosers() {
        EndPlan plan = EndPlanner.plan(Side.A, input(shop(Map.of()), 20, null));
        LugFit best = plan.lugs().get(0);
        assertThat(plan.lugs())
                .extracting(fit -> fit.lug().code())
                .containsExactlyElementsOf(LugChooser.rank(
                                LugCatalogue.shipped(),
                                new LugDemand(cable(), 1, landing(), Place.VEHICLE),
                                lug -> plan.handy().unhandy(lug.code(), Optional.of(lug.barrel())))
                        .stream()
                        .map(fit -> fit.lug().code())
                        .toList());
        assertThat(plan.dies())
                .extracting(Crimp::compaction)
                .containsExactlyElementsOf(
                        DieChooser.rank(List.of(TWELVE), 50, best.lug().barrel()).stream()
                                .map(Crimp::compaction)
                                .toList());
    }

    /** What flows decides whether a contact will do: another current is another question. */
    @Test
    void contactsAreRankedForTheirCurrent() {
        Shop shop = shop(Map.of());
        EndDemand.ContactWish plug =
                new EndDemand.ContactWish(Family.TWO_POLE, null, JoinMethod.CRIMP, ContactDemand.Mating.UNSAID);
        EndPlan light = EndPlanner.plan(Side.A, input(shop, 20, plug));
        EndPlan heavy = EndPlanner.plan(Side.A, input(shop, 900, plug));
        assertThat(light.contacts()).isNotEmpty();
        assertThat(heavy.contacts().get(0).verdict())
                .isGreaterThan(light.contacts().get(0).verdict());
        assertThat(EndPlanner.plan(Side.B, input(shop, 20, plug)).contacts()).isSameAs(light.contacts());
    }

    private static Shop shop(Map<String, Integer> shelf) {
        return new Shop(
                new Shop.Catalogues(LugCatalogue.shipped(), ContactCatalogue.shipped(), ShrinkTube.shipped()),
                new Toolbox(List.of(), List.of(new Toolbox.HeldDie(TWELVE, "jaw", null)), Map.of()),
                shelf);
    }

    private static CableGeometry cable() {
        return CableGeometry.of(
                new Conductor(ConductorSizes.designated("50 mm²").orElseThrow(), false), OptionalDouble.empty());
    }

    private static Landing landing() {
        return Landing.on(Studs.named("M8").orElseThrow());
    }

    private static PlanInput input(Shop shop, double currentA, EndDemand.ContactWish wish) {
        EndDemand demand = new EndDemand(landing(), null, null, null, wish, 1);
        return new PlanInput(
                cable(),
                new PlanInput.Route(2400, 100, 0),
                demand,
                demand,
                shop,
                new PlanInput.Circumstances(new ContactDemand.Load(currentA, 200), Place.VEHICLE, true, false, false));
    }
}
