package org.ulnaris.core.contact;

import java.util.Objects;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.termination.Place;

/**
 * What an end with a contact has to meet.
 *
 * @param cable conductor and diameters
 * @param load what flows
 * @param place where it works
 * @param method how it is joined
 * @param mating keys or makes of both halves
 * @param sealedOnly whether the house refuses small terminals that let water in, where things move and get wet
 */
public record ContactDemand(
        CableGeometry cable, Load load, Place place, JoinMethod method, Mating mating, boolean sealedOnly) {
    public ContactDemand {
        Objects.requireNonNull(cable, "cable");
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(method, "method");
    }

    /**
     * What flows.
     *
     * @param currentA continuous current, A
     * @param wireA what the wire may carry, A; 0 when not known
     */
    public record Load(double currentA, double wireA) {}

    /**
     * Two halves of a connector: colour or key of a two-pole frame, make of a PV connector.
     *
     * @param own this half's; empty when nothing is said
     * @param counterpart the other half's; empty when nothing is said
     */
    public record Mating(String own, String counterpart) {
        public static final Mating UNSAID = new Mating("", "");

        /** Whether both are said. */
        boolean said() {
            return !own.isBlank() && !counterpart.isBlank();
        }

        boolean same() {
            return own.strip().equalsIgnoreCase(counterpart.strip());
        }
    }
}
