package org.ulnaris.core.making;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;

/** What stands at the end of a cable. */
public sealed interface Termination permits MatchedLug, MatchedContact {
    /** Its name in the catalogue. */
    String code();

    /** Every check of the end, each once. */
    List<Finding> findings();

    Verdict verdict();

    /** What it adds to and takes from the cable's length. */
    CutLength.Reach reach();

    /** Insulation to take off, mm. */
    double stripMm();

    /** What dies do to its tube; null where it has none or the crib is empty. */
    @Nullable
    Crimp crimp();

    /** The sleeve that is shrunk over it; null for none. */
    @Nullable
    ShrinkChoice sleeve();

    /** Gap to the insulation to expect after the crimp, mm: the growth of the tube. */
    default double gapMm() {
        Crimp pressed = crimp();
        return pressed == null ? 0 : pressed.growthMm();
    }

    /** Greatest width of the finished end, mm: what a sleeve must pass. */
    double widestMm();
}
