package org.ulnaris.core.network;

/**
 * An element in a solved network.
 *
 * @param currentA current from its {@code from} to its {@code to}, A
 * @param voltageV voltage of {@code from} over {@code to}, V; negative in a source
 * @param ohm resistance in use, Ω; NaN of a load of current or power
 * @param temperatureC temperature of a wire, °C; NaN of the rest
 */
public record ElementState(double currentA, double voltageV, double ohm, double temperatureC) {
    /** Power that goes in, W; negative when it delivers. */
    public double powerW() {
        return voltageV * currentA;
    }
}
