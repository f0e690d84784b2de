package org.ulnaris.benchmarks;

import java.util.List;
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
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.SizingResult;

/** Sizing over all sizes of a series, against a hand-written loop of the same arithmetic on bare doubles. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class SizingBenchmark {
    private CableDemand demand;
    private double[] tableA;
    private double[] ohmPerMetre;
    private double[] bundleM;
    private double[] outerM;
    private double currentA = 180;
    private double lengthM = 2.4;
    private double voltageV = 24;
    private double dropPercent = 3;
    private double insulationC = 105;
    private double ambientC = 30;

    @Setup
    public void setUp() {
        demand = new CableDemand(
                new CableDemand.Load(currentA, lengthM, voltageV, dropPercent),
                new AmpacityConditions(insulationC, ambientC, false, 2),
                OptionalDouble.empty(),
                RuleSet.CFR_183_425,
                SizeSeries.AWG,
                true);
        List<ConductorSize> sizes = ConductorSizes.of(SizeSeries.AWG);
        tableA = sizes.stream()
                .mapToDouble(size ->
                        RuleSet.CFR_183_425.method().rating(size, insulationC).ampacityA())
                .toArray();
        ohmPerMetre = sizes.stream()
                .mapToDouble(size -> ConductorResistance.ohmPerMetreAt20(new Conductor(size, true)))
                .toArray();
        List<CableGeometry> cables = sizes.stream()
                .map(size -> CableGeometry.of(new Conductor(size, true), OptionalDouble.empty()))
                .toList();
        bundleM = cables.stream().mapToDouble(cable -> cable.bundleMm() / 1000).toArray();
        outerM = cables.stream().mapToDouble(cable -> cable.outerMm() / 1000).toArray();
    }

    @Benchmark
    public SizingResult core() {
        return CableSizer.size(demand);
    }

    /** What the loop leaves: ampacity, temperature, drop of each size, and the first that passes, its heat balance too. */
    @Benchmark
    public double[] bareLoop() {
        int n = tableA.length;
        double[] out = new double[3 * n + 1];
        double factor = Math.sqrt((insulationC - ambientC) / (insulationC - 30));
        double allowedV = voltageV * dropPercent / 100;
        out[3 * n] = -1;
        for (int i = 0; i < n; i++) {
            double ampacity = tableA[i] * factor;
            double share = currentA / ampacity;
            double temperature = ambientC + (insulationC - ambientC) * share * share;
            double at = temperature <= insulationC ? temperature : insulationC;
            double drop = 2 * lengthM * currentA * ohmPerMetre[i] * (1 + 0.00393 * (at - 20));
            out[3 * i] = ampacity;
            out[3 * i + 1] = temperature;
            out[3 * i + 2] = drop;
            if (out[3 * n] < 0 && share <= 1 && drop / allowedV <= 1 && staysCool(i)) {
                out[3 * n] = i;
            }
        }
        return out;
    }

    /** The heat balance of one size on bare doubles: Churchill and Chu, radiation, insulation, two conductors bundled. */
    private boolean staysCool(int i) {
        double heat = currentA * currentA * ohmPerMetre[i] * (1 + 0.00393 * (insulationC - 20));
        double surface = insulationC - heat * Math.log(outerM[i] / bundleM[i]) / (2 * Math.PI * 0.20);
        double warmer = surface - ambientC;
        double film = (surface + ambientC) / 2 + 273.15;
        double conductivity = 0.0241 * Math.pow(film / 273.15, 1.5) * (273.15 + 194) / (film + 194);
        double viscosity = 1.716e-5 * Math.pow(film / 273.15, 1.5) * (273.15 + 110.4) / (film + 110.4);
        double prandtl = viscosity * 1007 / conductivity;
        double density = 101_325 / (287.05 * film);
        double diameter = outerM[i] * Math.sqrt(2 / 0.7);
        double rayleigh = 9.80665
                / film
                * warmer
                * diameter
                * diameter
                * diameter
                / (viscosity / density * (conductivity / (density * 1007)));
        double shape = Math.pow(1 + Math.pow(0.559 / prandtl, 9.0 / 16), 8.0 / 27);
        double root = 0.60 + 0.387 * Math.pow(rayleigh, 1.0 / 6) / shape;
        double s = surface + 273.15;
        double a = ambientC + 273.15;
        double radiated = 0.9 * Math.PI * diameter * 5.670374e-8 * (s * s * s * s - a * a * a * a);
        return warmer > 0 && Math.PI * root * root * conductivity * warmer + radiated >= 2 * heat;
    }
}
