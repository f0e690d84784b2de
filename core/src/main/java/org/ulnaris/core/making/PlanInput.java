package org.ulnaris.core.making;

import java.util.Objects;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.termination.Place;

/**
 * All that the plan of a cable is worked out from.
 *
 * @param cable conductor and diameters
 * @param route how long, how much spare, how the lugs stand
 * @param a demand on the A end
 * @param b demand on the B end
 * @param shop what there is to choose from
 * @param circumstances what flows and where
 */
public record PlanInput(
        CableGeometry cable, Route route, EndDemand a, EndDemand b, Shop shop, Circumstances circumstances) {
    /**
     * What flows and where.
     *
     * @param load current, and what the wire may carry
     * @param place where the cable works
     * @param sealedOnly whether the house refuses small terminals that let water in
     * @param fullStrokeOnly whether the house refuses tools that open before the dies have met
     * @param inLoom whether tubing lies over its run
     * @param marks whether marks or the computation tell that lug and dies belong together
     * @param bolting steel and threads of the studs
     * @param bendDiameters good bend radius of the house, outside diameters
     */
    public record Circumstances(
            ContactDemand.Load load,
            Place place,
            boolean sealedOnly,
            boolean fullStrokeOnly,
            boolean inLoom,
            MarkRule marks,
            Bolting bolting,
            double bendDiameters) {
        /** Where matching marks decide, with the usual steel and bend. */
        public Circumstances(
                ContactDemand.Load load, Place place, boolean sealedOnly, boolean fullStrokeOnly, boolean inLoom) {
            this(
                    load,
                    place,
                    sealedOnly,
                    fullStrokeOnly,
                    inLoom,
                    MarkRule.MARKS,
                    Bolting.USUAL,
                    HouseRules.USUAL.bendDiameters());
        }
    }

    public PlanInput {
        Objects.requireNonNull(cable, "cable");
        Objects.requireNonNull(route, "route");
        Objects.requireNonNull(shop, "shop");
    }

    /**
     * The way of the cable.
     *
     * @param lengthMm stud to stud along the centre line, mm
     * @param slackMm spare to cut, mm
     * @param clockDeg angle of the B lug to the A lug seen from B, °
     */
    public record Route(double lengthMm, double slackMm, double clockDeg) {
        public Route {
            if (!(lengthMm > 0 && lengthMm < 1e6 && slackMm >= 0 && slackMm < 1e5 && Math.abs(clockDeg) <= 360)) {
                throw new IllegalArgumentException(
                        "route out of range; have " + lengthMm + " mm, slack " + slackMm + " mm, " + clockDeg + "°");
            }
        }
    }

    EndDemand demand(Side side) {
        return side == Side.A ? a : b;
    }
}
