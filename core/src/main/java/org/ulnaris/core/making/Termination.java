package org.ulnaris.core.making;

import java.util.List;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.CutLength;

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

    /** Greatest width of the finished end, mm: what a sleeve must pass. */
    double widestMm();
}
