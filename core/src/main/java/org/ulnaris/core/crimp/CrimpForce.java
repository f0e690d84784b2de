package org.ulnaris.core.crimp;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.LugMaterial;

/**
 * Force that closes a pair of dies (ours): F = C·σ(ε)·w·AF. Flow stress σ = K·εⁿ with handbook figures of annealed metal, K = 315 MPa,
 * n = 0.54 copper, K = 180 MPa, n = 0.20 aluminium; strain ε = ln(tube's circle ÷ die area), at least {@value #LEAST_STRAIN};
 * C = {@value #CONSTRAINT} for filling the corners of a closed die against friction. Good to a third; the maker of the tool decides.
 *
 * @param crimp conductor, barrel and dies
 */
public record CrimpForce(Crimp crimp) {
    static final double CONSTRAINT = 2.5;
    static final double LEAST_STRAIN = 0.05;
    /** Share of a tool's force above which nothing is left for wear and a thick wall. */
    static final double WATCH_ABOVE = 0.85;

    private static final Source SOURCE = Source.own(note("CrimpForce.force-by-die"));

    /** Logarithmic change of the section. */
    public double strain() {
        double outer = crimp.barrel().outerMm();
        double circle = Math.PI / 4 * outer * outer;
        return Math.max(LEAST_STRAIN, Math.log(circle / crimp.die().areaMm2()));
    }

    /** Stress at which the metal flows, MPa. */
    public double flowStressMPa() {
        return crimp.barrel().material() == LugMaterial.COPPER
                ? 315 * Math.pow(strain(), 0.54)
                : 180 * Math.pow(strain(), 0.20);
    }

    /** Force, kN. */
    public double requiredKn() {
        return CONSTRAINT
                * flowStressMPa()
                * crimp.die().widthMm()
                * crimp.die().acrossFlatsMm()
                / 1000;
    }

    /** Against what a tool gives, kN. */
    public Finding finding(double toolKn) {
        double required = requiredKn();
        Verdict verdict = required <= toolKn ? Verdict.WATCH : Verdict.STOP;
        if (required <= WATCH_ABOVE * toolKn) {
            verdict = Verdict.PASS;
        }
        return new Finding(
                FindingCode.CRIMP_FORCE,
                verdict,
                required,
                toolKn,
                "kN",
                Explanation.of(
                                term("F", required, "kN"),
                                term("C", CONSTRAINT, "")
                                        .times(term("k_f", flowStressMPa(), "MPa"))
                                        .times(term("w", crimp.die().widthMm(), "mm"))
                                        .times(term("AF", crimp.die().acrossFlatsMm(), "mm")))
                        .noted(note("CrimpForce.f-stress-at")),
                SOURCE);
    }
}
