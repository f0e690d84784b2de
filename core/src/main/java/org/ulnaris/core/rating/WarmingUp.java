package org.ulnaris.core.rating;

import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.finding.Source;

/**
 * How a cable's temperature follows a current in time: one time constant τ = C·(T_max − T_a)/(I_z²·R(T_max)), with the heat
 * capacity C of metal and insulation, towards the final rise (T_max − T_a)·(I/I_z)².
 *
 * @param heatPerMetre heat capacity, J/(m·K)
 * @param ambientC air temperature, °C
 * @param maxC highest temperature that the cable may have, °C
 * @param ampacityA current that brings it there, A
 * @param timeConstantS τ, s
 */
public record WarmingUp(double heatPerMetre, double ambientC, double maxC, double ampacityA, double timeConstantS) {
    public static final Source SOURCE = Source.own(note("WarmingUp.thermal-time-constant"));
    private static final double INSULATION_HEAT = 1.7e6;

    /** A cable under its derated ampacity. */
    public static WarmingUp of(CableGeometry cable, Derating derating, double ampacityA) {
        double metal = cable.conductor().size().areaMm2()
                * 1e-6
                * cable.conductor().metal().heatPerVolume();
        double outer = cable.outerMm() / 1000;
        double bundle = cable.bundleMm() / 1000;
        double insulation = Math.PI / 4 * (outer * outer - bundle * bundle) * INSULATION_HEAT;
        double heat = metal + insulation;
        double max = derating.columnTempC();
        double rise = max - derating.localAmbientC();
        double loss = ampacityA * ampacityA * ConductorResistance.ohmPerMetre(cable.conductor(), max);
        return new WarmingUp(heat, derating.localAmbientC(), max, ampacityA, heat * rise / loss);
    }

    /** Temperature at which {@code currentA} would hold it for good, °C. */
    public double finalC(double currentA) {
        double share = currentA / ampacityA;
        return ambientC + (maxC - ambientC) * share * share;
    }

    /** Temperature after {@code seconds} of {@code currentA} from {@code startC}, °C. */
    public double afterC(double startC, double currentA, double seconds) {
        double end = finalC(currentA);
        return end + (startC - end) * Math.exp(-seconds / timeConstantS);
    }

    /** How long {@code currentA} may flow from {@code startC}, s; infinity where it may flow for good. */
    public double allowedS(double startC, double currentA) {
        double end = finalC(currentA);
        if (end <= maxC) {
            return Double.POSITIVE_INFINITY;
        }
        return startC >= maxC ? 0 : timeConstantS * Math.log((end - startC) / (end - maxC));
    }

    /** Highest temperature of a cycle of {@code onS} under {@code currentA} and {@code offS} without, repeated for good, °C. */
    public double dutyPeakC(double currentA, double onS, double offS) {
        return ambientC + (finalC(currentA) - ambientC) * dutyShare(onS, offS);
    }

    /** The rise at the end of each {@code onS} of work with {@code offS} of rest after it ÷ the rise of the same current for good. */
    public double dutyShare(double onS, double offS) {
        return Math.expm1(-onS / timeConstantS) / Math.expm1(-(onS + offS) / timeConstantS);
    }
}
