package org.ulnaris.benchmarks;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.WiringCheck;
import org.ulnaris.core.network.NetworkSolution;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

/** An installation solved and sized in all its cases, against one dense solution a case of as many nodes. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(1)
public class InstallationBenchmark {
    static final int CASES = 8;
    private static final Run.Laying LAYING = new Run.Laying(
            new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);

    @Param({"60", "1000"})
    int cables;

    private Installation installation;
    private Installation guarded;
    private DMatrixRMaj matrix;
    private DMatrixRMaj right;

    @Setup
    public void setUp() {
        Random random = new Random(1);
        installation = yard(cables, random);
        guarded = guarded(cables, new Random(2));
        NetworkSolution solution =
                InstallationSolver.solve(installation).cases().get(0).solution();
        int n = solution.nodeV().size() - 1;
        matrix = new DMatrixRMaj(n, n);
        right = new DMatrixRMaj(n, 1);
        for (int i = 0; i < n; i++) {
            matrix.set(i, i, 4);
            right.set(i, 0, random.nextDouble());
            int up = random.nextInt(n);
            if (up != i) {
                matrix.set(i, up, -1);
                matrix.set(up, i, -1);
            }
        }
        for (int i = 0; i < n; i++) {
            double sum = 1;
            for (int j = 0; j < n; j++) {
                sum += i == j ? 0 : Math.abs(matrix.get(i, j));
            }
            matrix.set(i, i, sum);
        }
    }

    @Benchmark
    public InstallationResult solved() {
        return InstallationSolver.solve(installation);
    }

    /** Four sources and a fuse a load: solved, sized, its wiring and the protection of every conductor judged. */
    @Benchmark
    public int protectedYard() {
        InstallationResult result = InstallationSolver.solve(guarded);
        return ProtectionCheck.check(result).subjects().size()
                + WiringCheck.check(guarded).size();
    }

    /** The floor of that: solved and sized alone. */
    @Benchmark
    public InstallationResult solvedYard() {
        return InstallationSolver.solve(guarded);
    }

    @Benchmark
    public double dense() {
        double sum = 0;
        for (int c = 0; c < CASES; c++) {
            LinearSolverDense<DMatrixRMaj> solver = LinearSolverFactory_DDRM.chol(matrix.numRows);
            DMatrixRMaj x = new DMatrixRMaj(matrix.numRows, 1);
            solver.setA(matrix.copy());
            solver.solve(right, x);
            sum += x.get(0, 0);
        }
        return sum;
    }

    /** One bank, bus bars in a tree, two conductors to each load. */
    static Installation yard(int cables, Random random) {
        List<Device> devices = new ArrayList<>();
        List<Run> runs = new ArrayList<>();
        devices.add(new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 4, 200)));
        devices.add(new Device.Bar("P0"));
        devices.add(new Device.Bar("M0"));
        runs.add(run("B+", "BANK.plus", "P0.bar", 0.5));
        runs.add(run("B-", "BANK.minus", "M0.bar", 0.5));
        int bars = 1;
        int loads = 0;
        while (runs.size() < cables) {
            int up = random.nextInt(bars);
            if (runs.size() % 16 == 0) {
                devices.add(new Device.Bar("P" + bars));
                devices.add(new Device.Bar("M" + bars));
                runs.add(run("feed P" + bars, "P" + up + ".bar", "P" + bars + ".bar", 1.5));
                runs.add(run("feed M" + bars, "M" + up + ".bar", "M" + bars + ".bar", 1.5));
                bars++;
            } else {
                String tag = "L" + loads++;
                Device.Draw draw = loads % 2 == 0
                        ? Device.Draw.steady(Device.DrawKind.CURRENT, 1 + random.nextInt(6), 1, 20)
                        : Device.Draw.steady(Device.DrawKind.POWER, 20 + random.nextInt(50), 0.9, 20);
                devices.add(new Device.Consumer(tag, draw, 5));
                runs.add(run(tag + "+", "P" + up + ".bar", tag + ".plus", 1 + random.nextDouble() * 3));
                runs.add(run(tag + "-", tag + ".minus", "M" + up + ".bar", 1 + random.nextDouble() * 3));
            }
        }
        List<OperatingCase> cases = new ArrayList<>();
        for (int c = 0; c < CASES; c++) {
            Map<String, OperatingCase.State> states = new HashMap<>();
            for (int load = 0; load < loads; load++) {
                if (random.nextInt(3) > 0) {
                    states.put("L" + load, OperatingCase.State.ON);
                }
            }
            cases.add(new OperatingCase("case " + c, states, 2));
        }
        return new Installation(new Installation.System(24, 29.2, RuleSet.CFR_183_425), devices, runs, cases);
    }

    /** The same with a second bank, two chargers and a fuse in every branch; a third of the cables lead to fuses. */
    static Installation guarded(int cables, Random random) {
        Installation bare = yard(2 * cables / 3, random);
        List<Device> devices = new ArrayList<>(bare.devices());
        List<Run> runs = new ArrayList<>();
        for (Run run : bare.runs()) {
            boolean branch = run.to().port() == Terminal.Port.PLUS || run.tag().equals("B+");
            if (branch) {
                String fuse = "F " + run.tag();
                devices.add(new Device.Fuse(
                        fuse, 0.001, FuseFamily.CLASS_T, run.tag().equals("B+") ? 400 : 20));
                runs.add(run("to " + fuse, run.from().toString(), fuse + ".in", 0.1));
                runs.add(run(run.tag(), fuse + ".out", run.to().toString(), run.lengthM()));
            } else {
                runs.add(run);
            }
        }
        devices.add(new Device.Bank("SECOND", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 2, 200)));
        devices.add(new Device.Fuse("F2", 0.001, FuseFamily.CLASS_T, 400));
        runs.add(run("S+", "SECOND.plus", "F2.in", 0.1));
        runs.add(run("F2+", "F2.out", "P0.bar", 1));
        runs.add(run("S-", "SECOND.minus", "M0.bar", 1));
        List<OperatingCase> cases = new ArrayList<>();
        for (int c = 0; c < 2; c++) {
            devices.add(new Device.Charger("C" + c, 28.8, 0.01, 40));
            runs.add(run("C" + c + "+", "C" + c + ".plus", "P0.bar", 2));
            runs.add(run("C" + c + "-", "C" + c + ".minus", "M0.bar", 2));
        }
        for (OperatingCase one : bare.cases()) {
            Map<String, OperatingCase.State> states = new HashMap<>(one.states());
            states.put("C" + random.nextInt(2), OperatingCase.State.ON);
            cases.add(new OperatingCase(one.name(), states, one.hoursPerDay()));
        }
        return new Installation(bare.system(), devices, runs, cases);
    }

    private static Run run(String tag, String from, String to, double lengthM) {
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), lengthM, LAYING, null);
    }
}
