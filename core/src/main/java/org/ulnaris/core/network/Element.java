package org.ulnaris.core.network;

import java.util.Objects;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.measure.Range;

/**
 * A two-terminal element of a network. Its current counts from {@code from} through the element to {@code to}: through a load
 * from plus to minus, through a source from minus to plus.
 */
public sealed interface Element {
    /** Least resistance of anything that current passes, Ω: a millimetre of the thickest cable has fifty times as much. */
    double LEAST_OHM = 1e-9;
    /** Range of a resistance, Ω. */
    Range OHM = new Range(LEAST_OHM, 1e9);
    /** Range of a source's open voltage, V. */
    Range VOLT = new Range(0, 2000);
    /** Range of what a load draws, A or W; a negative one feeds in. */
    Range LOAD = new Range(-1e7, 1e7);

    Branch branch();

    /** Whether it is a load, not a way for current to a load. */
    default boolean isLoad() {
        return this instanceof CurrentLoad || this instanceof PowerLoad || this instanceof ResistiveLoad;
    }

    /** Whether it is a way on which current is only lost. */
    default boolean isWay() {
        return this instanceof Wire || this instanceof Resistor;
    }

    /** A fixed resistance on the way: joint, fuse, switch, shunt, bar. */
    record Resistor(Branch branch, double ohm) implements Element {
        public Resistor {
            Objects.requireNonNull(branch, "branch");
            OHM.check("ohm of '" + branch.id() + "'", ohm);
        }
    }

    /**
     * A conductor that warms up: R = R20·(1 + α·(T − 20 °C)).
     *
     * @param ohmAt20 its resistance at 20 °C, Ω
     * @param warmth what its temperature follows
     * @param alphaPerK temperature coefficient at 20 °C, 1/K
     */
    record Wire(Branch branch, double ohmAt20, Warmth warmth, double alphaPerK) implements Element {
        private static final Range ALPHA_PER_K = new Range(0, 0.1);

        /** Of copper. */
        public Wire(Branch branch, double ohmAt20, Warmth warmth) {
            this(branch, ohmAt20, warmth, ConductorResistance.ALPHA_PER_K);
        }

        public Wire {
            ALPHA_PER_K.check("alphaPerK of '" + branch.id() + "'", alphaPerK);
            Objects.requireNonNull(branch, "branch");
            Objects.requireNonNull(warmth, "warmth");
            OHM.check("ohmAt20 of '" + branch.id() + "'", ohmAt20);
        }
    }

    /**
     * A voltage behind a resistance: a battery. It takes current as well.
     *
     * @param openV voltage without current, V
     * @param ohm internal resistance, Ω
     */
    record Source(Branch branch, double openV, double ohm) implements Element {
        public Source {
            Objects.requireNonNull(branch, "branch");
            VOLT.check("openV of '" + branch.id() + "'", openV);
            OHM.check("ohm of '" + branch.id() + "'", ohm);
        }
    }

    /**
     * A charger, alternator or charge controller: holds its voltage up to a greatest current, gives that current beyond, takes
     * none back.
     *
     * @param setV voltage that it holds, V
     * @param ohm resistance behind it while it holds, Ω
     * @param maxA greatest current, A
     */
    record LimitedSource(Branch branch, double setV, double ohm, double maxA) implements Element {
        public LimitedSource {
            Objects.requireNonNull(branch, "branch");
            VOLT.check("setV of '" + branch.id() + "'", setV);
            OHM.check("ohm of '" + branch.id() + "'", ohm);
            new Range(0, LOAD.upTo()).check("maxA of '" + branch.id() + "'", maxA);
        }
    }

    /** A load that draws a current whatever its voltage. */
    record CurrentLoad(Branch branch, double currentA) implements Element {
        public CurrentLoad {
            Objects.requireNonNull(branch, "branch");
            LOAD.check("currentA of '" + branch.id() + "'", currentA);
        }
    }

    /** A load that is a resistance: a heater, an incandescent lamp. */
    record ResistiveLoad(Branch branch, double ohm) implements Element {
        public ResistiveLoad {
            Objects.requireNonNull(branch, "branch");
            OHM.check("ohm of '" + branch.id() + "'", ohm);
        }
    }

    /** A load that draws a power whatever its voltage: an inverter, a converter. */
    record PowerLoad(Branch branch, double powerW) implements Element {
        public PowerLoad {
            Objects.requireNonNull(branch, "branch");
            LOAD.check("powerW of '" + branch.id() + "'", powerW);
        }
    }
}
