package org.ulnaris.core.protection;

import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Heating in a short circuit that is over before heat can leave: t = (k·A/I)², k = K·√ln((β + θ_f)/(β + θ_i)) (IEC 60949, IEC
 * 60364-5-54).
 */
public final class ShortCircuitHeat {
    private static final ReferenceTable TABLE = ReferenceTable.load("iec-60364-withstand.csv");

    private ShortCircuitHeat() {}

    /** A metal's constants. */
    public enum Metal {
        COPPER(234.5, 3.45e6, 17.241e-9),
        ALUMINIUM(228, 2.5e6, 28.264e-9),
        LEAD(230, 1.45e6, 21.4e-8),
        STEEL(202, 3.8e6, 13.8e-8);

        private final double betaC;
        private final double heatPerVolume;
        private final double ohmMetre;

        Metal(double betaC, double heatPerVolume, double ohmMetre) {
            this.betaC = betaC;
            this.heatPerVolume = heatPerVolume;
            this.ohmMetre = ohmMetre;
        }

        /** That of a conductor; copper-clad aluminium stands little more than its core. */
        public static Metal of(ConductorMetal conductor) {
            return conductor.isCopper() ? COPPER : ALUMINIUM;
        }

        /** K = √(Q_c·(β + 20)/ρ20), A·√s/mm². */
        public double constant() {
            return Math.sqrt(heatPerVolume * (betaC + 20) / ohmMetre) * 1e-6;
        }

        /** k between two temperatures, A·√s/mm². */
        public double k(double initialC, double finalC) {
            return constant() * Math.sqrt(Math.log((betaC + finalC) / (betaC + initialC)));
        }
    }

    /** Insulations with the temperature that a short circuit may bring them to. */
    public enum Insulation {
        PVC_70,
        PVC_90,
        RUBBER_60,
        RUBBER_85,
        XLPE_90,
        SILICONE_180,
        /** A soldered joint: the solder softens before the insulation does. */
        SOLDERED_90;

        private ReferenceTable.Row row() {
            return TABLE.rows().stream()
                    .filter(row -> row.text("insulation").equals(name()))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no withstand for " + name()));
        }

        /** Temperature after the short circuit, °C. */
        public double finalC() {
            return row().number("final");
        }

        /** Temperature in service that the table's k stands for, °C. */
        public double initialC() {
            return row().number("initial");
        }

        /** The table's k for copper up to 300 mm², A·√s/mm². */
        public double tableK() {
            return row().number("k");
        }

        /** That of a cable rated for a temperature whose insulation is known to be of {@code kind}; null for not known. */
        public static Insulation of(@Nullable InsulationKind kind, double insulationTempC) {
            if (kind == null) {
                return rated(insulationTempC);
            }
            return switch (kind) {
                case PVC -> insulationTempC <= 75 ? PVC_70 : PVC_90;
                case CROSS_LINKED -> XLPE_90;
                case RUBBER -> insulationTempC <= 75 ? RUBBER_60 : RUBBER_85;
                case SILICONE -> SILICONE_180;
            };
        }

        /**
         * The insulation that a temperature rating stands for where nobody says what it is (ours): up to 75 °C PVC, up to 105 °C PVC for
         * higher temperatures, as boat cable commonly is, up to 125 °C cross-linked, above silicone.
         */
        public static Insulation rated(double insulationTempC) {
            if (insulationTempC <= 75) {
                return PVC_70;
            }
            if (insulationTempC <= PVC_UP_TO_C) {
                return PVC_90;
            }
            return insulationTempC <= 125 ? XLPE_90 : SILICONE_180;
        }
    }

    /** Up to this rating an insulation may be PVC, °C. */
    private static final double PVC_UP_TO_C = 105;

    /** What a crimped joint may be brought to, °C (IEC 60364-5-54: as bare conductors in normal conditions, common practice). */
    public static final double CRIMPED_C = 250;

    /** How long a conductor of {@code areaMm2} stands {@code currentA}, s. */
    public static double withstandS(double areaMm2, double currentA, double k) {
        double root = k * areaMm2 / currentA;
        return root * root;
    }

    public static Source source() {
        return TABLE.source();
    }
}
