package org.ulnaris.core.sizing;

import java.util.Optional;
import org.ulnaris.core.finding.Finding;

/** What can flow into a cable from outside of it, for good and in a short circuit, held against a size of it. */
public interface Guard {
    /** Whether all that can flow in for good is within what {@code rung} may carry. */
    Finding limit(Rung rung);

    /** Rating of the circuit, A: of the fuses that open first. */
    double circuitA();

    /** Whether what opens does so before a short circuit harms {@code rung}; empty while no short circuit is known. */
    Optional<Finding> shortCircuit(Rung rung);
}
