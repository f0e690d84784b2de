package org.ulnaris.core.rating;

import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.conductor.Bar;
import org.ulnaris.core.conductor.Material;
import org.ulnaris.core.finding.Source;

/**
 * Heat balance of a bare bar on edge in still air: convection of a vertical plate (Churchill and Chu) from both faces, radiation with ε =
 * {@value #EMISSIVITY} of dull metal from its whole perimeter.
 *
 * @param bar the bar
 * @param material what it is made of
 * @param ambientC air temperature, °C
 */
public record BarHeat(Bar bar, Material material, double ambientC) {
    static final double EMISSIVITY = 0.4;
    public static final Source SOURCE = Source.own(note("BarHeat.heat-balance-of"));

    private static final double STEFAN_BOLTZMANN = 5.670374e-8;
    private static final double ZERO_C = 273.15;
    private static final double HOTTEST_C = 600;
    private static final int BISECTIONS = 60;

    public BarHeat {
        AmpacityConditions.AMBIENT_C.check("ambientC", ambientC);
    }

    /** Nusselt number of a vertical plate: {0.825 + 0.387·Ra^(1/6)/[1 + (0.492/Pr)^(9/16)]^(8/27)}². */
    public static double nusselt(double rayleigh, double prandtl) {
        double shape = Math.pow(1 + Math.pow(0.492 / prandtl, 9.0 / 16), 8.0 / 27);
        double root = 0.825 + 0.387 * Math.pow(rayleigh, 1.0 / 6) / shape;
        return root * root;
    }

    /** Heat that leaves the bar at {@code barC}, W/m. */
    public double heatWPerM(double barC) {
        double warmerK = barC - ambientC;
        if (!(warmerK > 0)) {
            return 0;
        }
        double height = bar.widthMm() / 1000;
        Air film = new Air((barC + ambientC) / 2 + ZERO_C);
        double transfer = nusselt(film.rayleigh(height, warmerK), film.prandtl()) * film.conductivity() / height;
        double hot = barC + ZERO_C;
        double cold = ambientC + ZERO_C;
        double radiated = EMISSIVITY * STEFAN_BOLTZMANN * (hot * hot * hot * hot - cold * cold * cold * cold);
        double perimeter = 2 * (bar.widthMm() + bar.thicknessMm()) / 1000;
        return transfer * 2 * height * warmerK + radiated * perimeter;
    }

    /** Current that holds the bar at {@code barC}, A. */
    public double currentA(double barC) {
        double ohmPerMetre = material.ohmMetre(barC) / (bar.areaMm2() * 1e-6);
        return Math.sqrt(heatWPerM(barC) / ohmPerMetre);
    }

    /** Temperature of the bar at {@code currentA}, °C; infinity beyond 600 °C. */
    public double barC(double currentA) {
        double low = ambientC;
        double high = HOTTEST_C;
        if (currentA > currentA(HOTTEST_C)) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = 0; i < BISECTIONS; i++) {
            double middle = (low + high) / 2;
            if (currentA(middle) < currentA) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }
}
