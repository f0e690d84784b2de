package org.ulnaris.core.termination;

import java.util.Objects;
import java.util.OptionalDouble;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.measure.Range;

/**
 * Where a lug goes.
 *
 * @param stud the stud
 * @param clearWidthMm room between walls, mm; empty when nothing limits it
 * @param studLengthMm free length of the stud above the surface, mm; empty when not known
 */
public record Landing(Stud stud, OptionalDouble clearWidthMm, OptionalDouble studLengthMm) {
    public static final Range CLEAR_WIDTH_MM = new Range(0, 500);
    public static final Range STUD_LENGTH_MM = new Range(0, 200);

    public Landing {
        Objects.requireNonNull(stud, "stud");
        clearWidthMm.ifPresent(w -> CLEAR_WIDTH_MM.check("clearWidthMm", w));
        studLengthMm.ifPresent(l -> STUD_LENGTH_MM.check("studLengthMm", l));
    }

    /** A landing of which only the stud is known. */
    public static Landing on(Stud stud) {
        return new Landing(stud, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
