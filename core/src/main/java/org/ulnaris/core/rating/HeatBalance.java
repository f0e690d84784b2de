package org.ulnaris.core.rating;

import static org.ulnaris.core.finding.Notes.note;

import java.util.function.DoubleUnaryOperator;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.finding.Source;

/**
 * The second school: the temperature at which the heat made in a cable leaves it (ours, after Churchill and Chu for a
 * horizontal cylinder in still air, radiation with ε = {@value #EMISSIVITY}, insulation {@value #INSULATION_W_PER_M_K} W/(m·K)).
 *
 * <p>n·I²·R(T_c) = (T_c − T_s)/(ln(D/d)/(2π·k_i)) = π·D_o·(h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)), solved by bisection. It runs 8 to
 * 13 % above the tables in free air, so it explains temperatures and never raises an ampacity; in a conduit it is held to them.
 *
 * @param cable conductor and diameters
 * @param mounting where it runs
 */
public record HeatBalance(CableGeometry cable, Mounting mounting) {
    static final double EMISSIVITY = 0.9;
    static final double INSULATION_W_PER_M_K = 0.20;
    public static final Source SOURCE = Source.own(note("HeatBalance.heat-balance-after"));

    private static final double STEFAN_BOLTZMANN = 5.670374e-8;
    private static final double ZERO_C = 273.15;
    /** Above this no balance is sought: the conductor melts, °C. */
    public static final double HOTTEST_C = 1000;

    private static final int BISECTIONS = 48;
    private static final double BUNDLE_FILL = 0.7;
    /** Heat that a conduit lets through ÷ that of its free air gaps, so that no current is above NEC 310.16: cables touch the wall. */
    private static final double CONDUIT_SHARE = 0.65;

    /**
     * Where a cable runs.
     *
     * @param ambientC air temperature, °C
     * @param bundled loaded conductors bundled together, itself included: their heat leaves through the bundle's envelope
     * @param conduit whether the bundle lies in a conduit of three times its diameter
     * @param walled whether the insulation of a wall surrounds it: a quarter of the heat leaves, as at half of the current
     */
    public record Mounting(double ambientC, int bundled, boolean conduit, boolean walled) {
        /** Not in a wall. */
        public Mounting(double ambientC, int bundled, boolean conduit) {
            this(ambientC, bundled, conduit, false);
        }

        public Mounting {
            AmpacityConditions.AMBIENT_C.check("ambientC", ambientC);
            AmpacityConditions.BUNDLED.check("bundled", bundled);
        }
    }

    /** Nusselt number of a horizontal cylinder: {0.60 + 0.387·Ra^(1/6)/[1 + (0.559/Pr)^(9/16)]^(8/27)}². */
    public static double nusselt(double rayleigh, double prandtl) {
        double shape = Math.pow(1 + Math.pow(0.559 / prandtl, 9.0 / 16), 8.0 / 27);
        double root = 0.60 + 0.387 * Math.pow(rayleigh, 1.0 / 6) / shape;
        return root * root;
    }

    /** Heat radiated by a cylinder of {@code diameterM} at {@code surfaceC} into surroundings at {@code ambientC}, black, W/m. */
    public static double blackRadiationWPerM(double diameterM, double surfaceC, double ambientC) {
        double s = surfaceC + ZERO_C;
        double a = ambientC + ZERO_C;
        return Math.PI * diameterM * STEFAN_BOLTZMANN * (s * s * s * s - a * a * a * a);
    }

    /** Heat given off by convection, W/m. */
    static double convectionWPerM(double diameterM, double surfaceC, double ambientC) {
        double warmerK = surfaceC - ambientC;
        if (!(warmerK > 0)) {
            return 0;
        }
        Air film = new Air((surfaceC + ambientC) / 2 + ZERO_C);
        double nusselt = nusselt(film.rayleigh(diameterM, warmerK), film.prandtl());
        return Math.PI * nusselt * film.conductivity() * warmerK;
    }

    private static double surfaceWPerM(double diameterM, double surfaceC, double ambientC) {
        return convectionWPerM(diameterM, surfaceC, ambientC)
                + EMISSIVITY * blackRadiationWPerM(diameterM, surfaceC, ambientC);
    }

    private double envelopeM() {
        double own = cable.outerMm() / 1000;
        return mounting.bundled() == 1 ? own : own * Math.sqrt(mounting.bundled() / BUNDLE_FILL);
    }

    /** Heat of one conductor that leaves with it at {@code conductorC}, W/m. */
    public double heatWPerM(double conductorC) {
        double insulation = Math.log(cable.outerMm() / cable.bundleMm()) / (2 * Math.PI * INSULATION_W_PER_M_K);
        double surfaceC = bisect(
                mounting.ambientC(),
                conductorC,
                s -> outwardWPerM(s) / mounting.bundled() - (conductorC - s) / insulation);
        return (conductorC - surfaceC) / insulation;
    }

    private double outwardWPerM(double surfaceC) {
        return mounting.walled() ? Derating.WALL * Derating.WALL * openWPerM(surfaceC) : openWPerM(surfaceC);
    }

    private double openWPerM(double surfaceC) {
        double envelope = envelopeM();
        if (!mounting.conduit()) {
            return surfaceWPerM(envelope, surfaceC, mounting.ambientC());
        }
        double wallC = bisect(
                mounting.ambientC(),
                surfaceC,
                w -> surfaceWPerM(3 * envelope, w, mounting.ambientC()) - surfaceWPerM(envelope, surfaceC, w));
        return CONDUIT_SHARE * surfaceWPerM(envelope, surfaceC, wallC);
    }

    /** Whether {@code currentA} leaves the conductor at {@code conductorC} or below: one balance, no search. */
    public boolean holds(double currentA, double conductorC) {
        return surplusWPerM(currentA, conductorC) >= 0;
    }

    /** Heat that could leave a conductor at {@code conductorC} beyond what {@code currentA} makes in it, W/m; rises with temperature. */
    private double surplusWPerM(double currentA, double conductorC) {
        double heat = currentA * currentA * ConductorResistance.ohmPerMetre(cable.conductor(), conductorC);
        double insulation = Math.log(cable.outerMm() / cable.bundleMm()) / (2 * Math.PI * INSULATION_W_PER_M_K);
        double surfaceC = conductorC - heat * insulation;
        double leaves = surfaceC > mounting.ambientC() ? outwardWPerM(surfaceC) / mounting.bundled() : 0;
        return leaves - heat;
    }

    /** Current that holds the conductor at {@code conductorC}, A. */
    public double currentA(double conductorC) {
        double heat = heatWPerM(conductorC);
        return Math.sqrt(Math.max(0, heat) / ConductorResistance.ohmPerMetre(cable.conductor(), conductorC));
    }

    /** Temperature of the conductor at {@code currentA}, °C; infinity where it would melt. */
    public double conductorC(double currentA) {
        if (!holds(currentA, HOTTEST_C)) {
            return Double.POSITIVE_INFINITY;
        }
        return bisect(mounting.ambientC(), HOTTEST_C, t -> surplusWPerM(currentA, t));
    }

    /** Root of a rising function. */
    private static double bisect(double low, double high, DoubleUnaryOperator rising) {
        double a = low;
        double b = high;
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (a + b) / 2;
            if (rising.applyAsDouble(middle) < 0) {
                a = middle;
            } else {
                b = middle;
            }
        }
        return (a + b) / 2;
    }
}
