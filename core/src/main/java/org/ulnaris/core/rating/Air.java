package org.ulnaris.core.rating;

/**
 * Dry air at 1 atm and a film temperature: Sutherland's laws for viscosity and conductivity, ideal-gas density, c_p = 1007
 * J/(kg·K).
 *
 * @param temperatureK film temperature, K
 */
record Air(double temperatureK) {
    private static final double PRESSURE_PA = 101_325;
    private static final double GAS_CONSTANT = 287.05;
    private static final double HEAT_J_PER_KG_K = 1007;
    private static final double ZERO_C = 273.15;
    private static final double GRAVITY = 9.80665;

    /** Conductivity, W/(m·K). */
    double conductivity() {
        return sutherland(0.0241, 194);
    }

    /** Dynamic viscosity, Pa·s. */
    double viscosity() {
        return sutherland(1.716e-5, 110.4);
    }

    private double sutherland(double atZero, double constantK) {
        return atZero * Math.pow(temperatureK / ZERO_C, 1.5) * (ZERO_C + constantK) / (temperatureK + constantK);
    }

    /** Prandtl number. */
    double prandtl() {
        return viscosity() * HEAT_J_PER_KG_K / conductivity();
    }

    /** Rayleigh number of a cylinder of {@code diameterM} that is {@code warmerK} above the air. */
    double rayleigh(double diameterM, double warmerK) {
        double density = PRESSURE_PA / (GAS_CONSTANT * temperatureK);
        double kinematic = viscosity() / density;
        double diffusivity = conductivity() / (density * HEAT_J_PER_KG_K);
        return GRAVITY / temperatureK * warmerK * diameterM * diameterM * diameterM / (kinematic * diffusivity);
    }
}
