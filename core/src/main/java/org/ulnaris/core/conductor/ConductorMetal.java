package org.ulnaris.core.conductor;

/** What the strands of a conductor are made of. */
public enum ConductorMetal {
    COPPER(8.89),
    /** Copper, each strand tinned. */
    TINNED(8.89),
    ALUMINIUM(2.70),
    /** Aluminium with a skin of copper, a tenth of its volume (ASTM B566 class 10A). */
    COPPER_CLAD(3.32);

    private static final double CLAD_COPPER_VOLUME = 0.10;

    private final double gramsPerCm3;

    ConductorMetal(double gramsPerCm3) {
        this.gramsPerCm3 = gramsPerCm3;
    }

    /** Plain copper, or tinned. */
    public static ConductorMetal copper(boolean tinned) {
        return tinned ? TINNED : COPPER;
    }

    /** Whether it is copper through and through. */
    public boolean isCopper() {
        return this == COPPER || this == TINNED;
    }

    /** Temperature coefficient of its resistance at 20 °C, 1/K. */
    public double alphaPerK() {
        return isCopper() ? ConductorResistance.ALPHA_PER_K : Material.ALUMINIUM.alphaPerK();
    }

    /** Weight of a metre of 1 mm², kg (IEC 60028, IEC 60889, ASTM B566). */
    public double kgPerMm2M() {
        return gramsPerCm3 / 1000;
    }

    /** Heat capacity by volume, J/(m³·K). */
    public double heatPerVolume() {
        double aluminium = Material.ALUMINIUM.heatPerVolume();
        double copper = Material.COPPER.heatPerVolume();
        return switch (this) {
            case COPPER, TINNED -> copper;
            case ALUMINIUM -> aluminium;
            case COPPER_CLAD -> CLAD_COPPER_VOLUME * copper + (1 - CLAD_COPPER_VOLUME) * aluminium;
        };
    }
}
