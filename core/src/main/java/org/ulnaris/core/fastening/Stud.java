package org.ulnaris.core.fastening;

/**
 * A threaded stud with the hardware that belongs to it.
 *
 * @param name as people say it: {@code M8}, {@code 3/8}, {@code #10}
 * @param thread diameter, pitch and strength
 * @param holes clearance holes
 * @param hardware washer and nut
 */
public record Stud(String name, Thread thread, Holes holes, Hardware hardware) {
    /**
     * The thread.
     *
     * @param diameterMm nominal diameter, mm
     * @param pitchMm pitch, mm
     * @param stressAreaMm2 tensile stress area, mm²
     * @param proofStressMPa proof stress, MPa: ISO 898-1 class 8.8 or SAE J429 grade 5
     */
    public record Thread(double diameterMm, double pitchMm, double stressAreaMm2, double proofStressMPa) {
        /** Load up to which the stud takes no set, N. */
        public double proofLoadN() {
            return stressAreaMm2 * proofStressMPa;
        }
    }

    /**
     * Clearance holes in mm: up to fine the hole is exact, up to coarse it fits.
     *
     * @param fineMm close fit
     * @param mediumMm normal fit
     * @param coarseMm loose fit
     */
    public record Holes(double fineMm, double mediumMm, double coarseMm) {}

    /**
     * Flat washer and nut, mm.
     *
     * @param washerOuterMm outer diameter of the flat washer
     * @param washerMm its thickness
     * @param lockWasherMm height of a flattened lock washer
     * @param nutMm height of the nut
     * @param acrossFlatsMm wrench size
     */
    public record Hardware(
            double washerOuterMm, double washerMm, double lockWasherMm, double nutMm, double acrossFlatsMm) {}
}
