package org.ulnaris.core.hazards;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingGroup;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.record.CableRecord;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedJob;

class LandingTest {
    static List<Sketch.Drawn> all() {
        return HazardTest.both();
    }

    private static JobModel job(Installation drawn) {
        Nets nets = new Nets(drawn);
        EndModel m8 = EndModel.at(Landing.on(Studs.named("M8").orElseThrow()));
        return new JobModel(
                new Ground(
                        drawn.system(), Place.VEHICLE, true, false, Bolting.USUAL, MarkRule.MARKS, PullSchool.UL_486),
                drawn.devices().stream().map(Piece::of).toList(),
                drawn.runs().stream()
                        .map(run -> new CableModel(
                                run.tag(),
                                new CableModel.Points(
                                        run.from().toString(), run.to().toString()),
                                nets.returns(run.from().node()) ? Pole.NEGATIVE : Pole.POSITIVE,
                                OptionalDouble.empty(),
                                run.laying(),
                                new CableModel.Way(run.lengthM(), Optional.empty(), 0, OptionalDouble.empty()),
                                OptionalDouble.empty(),
                                run.fixed() == null ? null : run.fixed().designation(),
                                0,
                                m8,
                                m8))
                        .toList(),
                List.of(),
                new Shop(LugCatalogue.shipped(), List.of(), ShrinkTube.shipped(), Toolbox.NONE));
    }

    private static WorkedJob worked(String sketch) {
        return JobWorker.work(job(Sketch.all(sketch).get(0).installation()));
    }

    /** Found by walking from the posts, where the order counts by sets that grow together. */
    private static int bare(Installation drawn, Set<String> landed, Set<String> out, String at) {
        Map<String, List<String>> ways = new HashMap<>();
        for (Device device : drawn.devices()) {
            if (!out.contains(device.tag()) && !(device instanceof Device.Bank)) {
                List<Terminal> sides = device.ports().stream().map(device::at).toList();
                for (Terminal a : sides) {
                    for (Terminal b : sides) {
                        ways.computeIfAbsent(a.node(), none -> new ArrayList<>())
                                .add(b.node());
                    }
                }
            }
        }
        for (Run run : drawn.runs()) {
            if (landed.contains(run.tag() + " A") && landed.contains(run.tag() + " B")) {
                ways.computeIfAbsent(run.from().node(), none -> new ArrayList<>())
                        .add(run.to().node());
                ways.computeIfAbsent(run.to().node(), none -> new ArrayList<>())
                        .add(run.from().node());
            }
        }
        Set<String> live = new HashSet<>();
        Deque<String> next = new ArrayDeque<>();
        drawn.devices().stream()
                .filter(Device.Bank.class::isInstance)
                .flatMap(bank -> bank.terminals().stream())
                .forEach(post -> next.add(post.node()));
        while (!next.isEmpty()) {
            String here = next.remove();
            if (live.add(here)) {
                next.addAll(ways.getOrDefault(here, List.of()));
            }
        }
        int bare = 0;
        for (Run run : drawn.runs()) {
            boolean a = landed.contains(run.tag() + " A");
            boolean b = landed.contains(run.tag() + " B");
            Terminal hangsFor = a ? run.to() : run.from();
            boolean sameNut = hangsFor.toString().equals(at) && !hangsFor.isBar();
            if (a != b && !sameNut && live.contains((a ? run.from() : run.to()).node())) {
                bare++;
            }
        }
        return bare;
    }

    @ParameterizedTest
    @MethodSource("all")
    @CheckedAgainst(value = "common practice: no bare end is live while a job is landed", how = "common practice")
    void noBareEndIsLive(Sketch.Drawn drawn) {
        WorkedJob job = JobWorker.work(job(drawn.installation()));
        LandingOrder order = LandingOrder.of(job);
        int[] counted = order.bare(job.model());
        Set<String> landed = new HashSet<>();
        int banks = (int) drawn.installation().devices().stream()
                .filter(Device.Bank.class::isInstance)
                .count();
        for (LandingEnd end : order.ends()) {
            landed.add(end.cable() + " " + end.side());
            int bare = bare(drawn.installation(), landed, Set.copyOf(order.mains()), end.point());
            assertThat(counted[end.number() - 1]).isEqualTo(bare);
            if (!end.group().live()) {
                assertThat(bare).as("%s %s", end.cable(), end.side()).isZero();
            } else if (order.unfused().isEmpty()) {
                assertThat(bare)
                        .as("%s %s", end.cable(), end.side())
                        .isLessThanOrEqualTo(end.group() == LandingGroup.LINKS ? 1 : Math.max(0, banks - 1));
            }
        }
        assertThat(landed).hasSize(2 * drawn.installation().runs().size());
    }

    @Test
    @CheckedAgainst(
            value = "common practice: a controller gets its battery before its panels, and loses them first",
            how = "common practice")
    void panelsComeAfterTheBattery() {
        LandingOrder order = LandingOrder.of(worked("""
                        = van with a panel
                        12V marine
                        bank B lfp 4x1 100
                        charger S 14.2V 20A
                        panels PV 1 24/20V 9/8A
                        controller M 60V
                        B+ -0.1m/16- F1:class_t/40 -1m/16- S+
                        S- -1m/16- B-
                        PV+ -4m/4- M+
                        PV- -4m/4- M-
                        """));
        assertThat(order.ends()).extracting(LandingEnd::point).endsWith("B.plus", "B.minus", "PV.minus", "PV.plus");
        assertThat(order.panels()).containsExactly("PV");
        assertThat(order.chargers()).containsExactly("S");
    }

    @Test
    void whatSitsOnAPostIsItsMainFuse() {
        LandingOrder order = LandingOrder.of(worked("""
                        = block on the post, panel behind
                        12V marine
                        bank B agm 1x1 100
                        load L 10A
                        mounted F0:post_block/60 B+
                        F0 -1m/16- P
                        mounted F1:blade_c/15 P
                        F1 -2m/4- L+
                        L- -2m/16- B-
                        """));
        assertThat(order.mains()).containsExactly("F0");
        assertThat(order.unfused()).isEmpty();
        assertThat(order.ends())
                .extracting(LandingEnd::point)
                .containsExactly("L.minus", "L.plus", "F1.out", "P.bar", "F0.out", "B.minus");
    }

    private static final String VAN = """
            = van
            12V marine
            bank B agm 1x2 100
            load INV 120A
            load FRIDGE 6A
            charger SHORE 14.4V 30A
            B+ -0.12m/50- F1:class_t/175 -0.4m/50- BUS
            BUS -1.2m/50- INV+
            BUS -0.1m/6- F2:class_t/15 -4m/6- FRIDGE+
            BUS -0.1m/16- F3:class_t/40 -1m/16- SHORE+
            INV- -1.2m/50- NEG
            FRIDGE- -4m/6- NEG
            SHORE- -1m/16- NEG
            NEG -0.3m/50- SH:switch -0.3m/50- B-
            """;

    @Test
    @CheckedAgainst(
            value = "common practice: loads and returns first, main fuse out, battery plus, its minus last",
            how = "common practice")
    void fromTheLoadsToTheBattery() {
        LandingOrder order = LandingOrder.of(worked(VAN));
        assertThat(order.mains()).containsExactly("F1");
        assertThat(order.chargers()).containsExactly("SHORE");
        assertThat(order.unfused()).isEmpty();
        assertThat(order.ends())
                .extracting(LandingEnd::point)
                .containsExactly(
                        "INV.minus",
                        "INV.plus",
                        "FRIDGE.minus",
                        "FRIDGE.plus",
                        "SHORE.minus",
                        "SHORE.plus",
                        "NEG.bar",
                        "NEG.bar",
                        "NEG.bar",
                        "NEG.bar",
                        "SH.in",
                        "SH.out",
                        "F2.out",
                        "F2.in",
                        "F3.out",
                        "F3.in",
                        "BUS.bar",
                        "BUS.bar",
                        "BUS.bar",
                        "BUS.bar",
                        "F1.out",
                        "F1.in",
                        "B.plus",
                        "B.minus");
        assertThat(order.ends().get(19).cable()).isEqualTo("F1~BUS");
        assertThat(order.ends().get(9).cable()).isEqualTo("NEG~SH");
    }

    @Test
    void otherOrdersLeaveBareEndsLive() {
        WorkedJob job = worked(VAN);
        LandingOrder order = LandingOrder.of(job);
        assertThat(order.bare(job.model())).containsOnly(0);
        assertThat(order.bareFromBattery(job.model())).contains(4);
        assertThat(order.bareByCable(job.model())).contains(1);
    }

    @Test
    void aStarterHasNoFuseToLeaveOut() {
        LandingOrder order = LandingOrder.of(worked("""
                = starter
                12V marine
                bank S wet 1x1 100
                starter ENG 250A
                S+ -0.5m/95- K1:switch -1.5m/95- ENG+
                ENG- -1.8m/95- S-
                """));
        assertThat(order.mains()).isEmpty();
        assertThat(order.unfused()).containsExactly("ENG");
        assertThat(order.ends().get(5).point()).isEqualTo("S.minus");
    }

    @Test
    void stringsBeforeTheyAreJoined() {
        LandingOrder order = LandingOrder.of(worked("""
                = two strings of two
                24V marine
                bank P agm 1x1 100
                bank Q agm 1x1 100
                bank R agm 1x1 100
                bank S agm 1x1 100
                load WIN 60A
                P+ -0.3m/50- R+
                P- -0.2m/50- Q+
                R- -0.2m/50- S+
                Q- -0.3m/50- S-
                P+ -0.1m/50- F1:class_t/150 -2m/50- WIN+
                WIN- -2m/50- S-
                """));
        assertThat(order.ends().stream().filter(end -> end.group() == LandingGroup.LINKS))
                .extracting(LandingEnd::cable)
                .containsExactly("P-~Q+", "P-~Q+", "R-~S+", "R-~S+", "P+~R+", "P+~R+", "Q-~S-", "Q-~S-");
    }

    @Test
    void whatIsLandedIsKnownFromTheBench() {
        WorkedJob plan = worked(VAN);
        LandingOrder order = LandingOrder.of(plan);
        LandingEnd first = order.ends().get(0);
        Set<String> done = new HashSet<>();
        plan.cable(first.cable()).plan().steps().stream()
                .filter(step -> step.side() != (first.side() == Side.A ? Side.B : Side.A))
                .forEach(step -> done.add(step.key()));
        JobModel model = plan.model();
        WorkedJob made = JobWorker.work(new JobModel(
                model.ground(),
                model.pieces(),
                model.cables(),
                model.cases(),
                model.shop(),
                Map.of(first.cable(), new CableRecord(done, List.of(), 0, null))));
        LandingOrder now = LandingOrder.of(made);
        assertThat(now.next().map(LandingEnd::number)).contains(2);
        assertThat(now.at(first.cable(), first.side()).landed()).isTrue();
        assertThat(now.before(now.ends().get(3))).extracting(LandingEnd::number).containsExactly(2, 3);
    }
}
