package org.ulnaris.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
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
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.solving.InstallationSolver;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.Toolbox;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** A job of 60 cables worked out, ends and all, against its network and its ends alone; and after one change. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class WorkedJobBenchmark {
    static final int CABLES = 60;

    private JobModel model;
    private WorkedJob worked;
    private JobModel guarded;
    private List<JobModel> changed;
    private int next;

    @Setup
    public void setUp() {
        Installation yard = InstallationBenchmark.yard(CABLES, new Random(1));
        model = model(yard);
        guarded = model(InstallationBenchmark.guarded(CABLES, new Random(2)));
        worked = JobWorker.work(model);
        changed = new ArrayList<>();
        for (String size : List.of("25 mm²", "35 mm²", "50 mm²", "70 mm²")) {
            List<CableModel> others = new ArrayList<>(model.cables());
            others.set(7, model.cables().get(7).sized(size));
            changed.add(new JobModel(model.ground(), model.pieces(), others, model.cases(), model.shop()));
        }
    }

    private static JobModel model(Installation yard) {
        EndModel end = EndModel.at(Landing.on(Studs.named("M8").orElseThrow()));
        return new JobModel(
                new Ground(yard.system(), Place.VEHICLE, true, false, Bolting.USUAL, MarkRule.MARKS, PullSchool.UL_486),
                yard.devices().stream().map(Piece::of).toList(),
                yard.runs().stream().map(run -> cable(run, end)).toList(),
                yard.cases(),
                shop());
    }

    private static CableModel cable(Run run, EndModel end) {
        return new CableModel(
                run.tag(),
                new CableModel.Points(run.from().toString(), run.to().toString()),
                run.tag().endsWith("-") ? Pole.NEGATIVE : Pole.POSITIVE,
                OptionalDouble.empty(),
                run.laying(),
                new CableModel.Way(run.lengthM(), Optional.empty(), 150, OptionalDouble.empty()),
                OptionalDouble.empty(),
                null,
                0,
                end,
                end);
    }

    private static Shop shop() {
        List<Die> dies = new ArrayList<>();
        List<Toolbox.HeldDie> held = new ArrayList<>();
        for (int i = 0; i < 21; i++) {
            Die die = new Die("D" + i, DieShape.HEX, 4.2 + i, 5, LugMaterial.COPPER);
            dies.add(die);
            held.add(new Toolbox.HeldDie(die, "jaw", null));
        }
        Tool press = new Tool("P", ToolKind.BENCH_PRESS, "jaw", OptionalDouble.of(120), true);
        return new Shop(
                LugCatalogue.shipped(), dies, ShrinkTube.shipped(), new Toolbox(List.of(press), held, Map.of()));
    }

    /** All of it, with nothing to take over. */
    @Benchmark
    public WorkedJob worked() {
        return JobWorker.work(unranked(model));
    }

    /** The same job in a shop that has ranked no parts yet. */
    private static JobModel unranked(JobModel job) {
        return new JobModel(job.ground(), job.pieces(), job.cables(), job.cases(), shop());
    }

    /** A job of as many cables with four sources and a fuse a load. */
    @Benchmark
    public WorkedJob guarded() {
        return JobWorker.work(unranked(guarded));
    }

    /** After another size was chosen for one cable. */
    @Benchmark
    public WorkedJob reworked() {
        return JobWorker.work(changed.get(next++ % changed.size()), worked);
    }

    /** The floor of both: the network solved and the ends planned, with no finding made of either. */
    @Benchmark
    public int networkAndEnds() {
        int sum = InstallationSolver.solve(worked.network().orElseThrow().installation())
                .rounds();
        Shop shop = shop();
        for (WorkedCable cable : worked.cables()) {
            PlanInput in = cable.input();
            PlanInput unranked = new PlanInput(in.cable(), in.route(), in.a(), in.b(), shop, in.circumstances());
            sum += CablePlan.of(unranked).a().dies().size();
        }
        return sum;
    }
}
