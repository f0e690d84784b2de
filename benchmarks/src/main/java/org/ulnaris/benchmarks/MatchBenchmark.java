package org.ulnaris.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.Toolbox;

/** Proposals for all ends of a job, and the map of a crib, each against a bare loop over the same pairs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class MatchBenchmark {
    static final int CABLES = 60;
    static final int PARTS = 1000;
    static final int DIES = 60;
    static final int MAP_ROWS = 100;

    private List<Lug> lugs;
    private List<Die> dies;
    private Toolbox crib;

    @Setup
    public void setUp() {
        List<ConductorSize> sizes = sizes();
        List<Stud> studs = Studs.all();
        lugs = new ArrayList<>();
        for (int i = 0; i < PARTS; i++) {
            ConductorSize size = sizes.get(i % sizes.size());
            Stud stud = studs.get(i / sizes.size() % studs.size());
            double bore = Math.sqrt(4 * size.areaMm2() / Math.PI / (0.62 + 0.0001 * (i % 97)));
            Barrel barrel = new Barrel(LugMaterial.COPPER, 1.4 * bore + 0.001 * i, bore, 20);
            lugs.add(Lug.measured(
                    "L" + i, barrel, Lug.Pad.flattened(barrel, stud.holes().fineMm(), stud.name())));
        }
        dies = new ArrayList<>();
        List<Toolbox.HeldDie> held = new ArrayList<>();
        for (int i = 0; i < DIES; i++) {
            Die die = new Die("D" + i, DieShape.HEX, 4 + 0.4 * i, 5, LugMaterial.COPPER);
            dies.add(die);
            held.add(new Toolbox.HeldDie(die, "jaw", null));
        }
        Tool press = new Tool("P", ToolKind.BENCH_PRESS, "jaw", OptionalDouble.of(120), true);
        crib = new Toolbox(List.of(press), held, Map.of());
    }

    /** The ends of a job in a shop that has ranked no parts yet. */
    private List<PlanInput> job() {
        List<ConductorSize> sizes = sizes();
        List<Stud> studs = Studs.all();
        Shop shop = new Shop(lugs, dies, ShrinkTube.shipped(), crib);
        List<PlanInput> job = new ArrayList<>();
        for (int i = 0; i < CABLES; i++) {
            EndDemand end = new EndDemand(Landing.on(studs.get(i % 4 + 1)), null, null, null);
            job.add(new PlanInput(
                    CableGeometry.of(new Conductor(sizes.get(i % sizes.size()), false), OptionalDouble.empty()),
                    new PlanInput.Route(2000, 150, 0),
                    end,
                    end,
                    shop,
                    new PlanInput.Circumstances(new ContactDemand.Load(100, 200), Place.VEHICLE, true, false, false)));
        }
        return job;
    }

    private static List<ConductorSize> sizes() {
        return ConductorSizes.of(SizeSeries.METRIC).stream()
                .filter(size -> size.areaMm2() >= 6)
                .toList();
    }

    /** All ends of 60 cables. */
    @Benchmark
    public int proposals() {
        int found = 0;
        for (PlanInput cable : job()) {
            found += CablePlan.of(cable).a().dies().size();
        }
        return found;
    }

    /** Bore fill of every part and compaction of every pair of dies, for the same ends. */
    @Benchmark
    public double bareProposals() {
        double sum = 0;
        for (PlanInput cable : job()) {
            double area = cable.cable().conductor().size().areaMm2();
            for (int end = 0; end < 2; end++) {
                for (Lug lug : lugs) {
                    sum += area / lug.barrel().boreAreaMm2();
                }
                for (Die die : dies) {
                    sum += die.areaMm2() / (lugs.get(0).barrel().wallAreaMm2() + area);
                }
            }
        }
        return sum;
    }

    /** 100 barrels by 60 dies. */
    @Benchmark
    public int map() {
        ConductorSize size = sizes().get(5);
        return CompactionMap.of(lugs.subList(0, MAP_ROWS), dies, size).rows().size();
    }

    /** The bare quotients of the same map. */
    @Benchmark
    public double bareMap() {
        double sum = 0;
        for (Lug lug : lugs.subList(0, MAP_ROWS)) {
            for (Die die : dies) {
                sum += die.areaMm2() / (lug.barrel().wallAreaMm2() + 50);
            }
        }
        return sum;
    }
}
