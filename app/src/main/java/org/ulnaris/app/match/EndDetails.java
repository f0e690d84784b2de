package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import org.jspecify.annotations.Nullable;

/**
 * What a person says about an end.
 *
 * @param stud name of the stud
 * @param torqueNm the device maker's torque, N·m; null when not known
 * @param torqueMinNm lowest that the maker accepts; null for ± 10 %
 * @param torqueMaxNm highest that the maker accepts; null for ± 10 %
 * @param clearWidthMm room for the pad, mm; null when nothing limits it
 * @param studLengthMm free stud, mm; null when not known
 * @param lugCode a lug picked by hand; null for the proposal
 * @param dieTag a die picked by hand; null for the proposal
 */
@Embeddable
public record EndDetails(
        String stud,
        @Nullable Double torqueNm,
        @Nullable Double torqueMinNm,
        @Nullable Double torqueMaxNm,
        @Nullable Double clearWidthMm,
        @Nullable Double studLengthMm,
        @Nullable String lugCode,
        @Nullable String dieTag) {
    /** What an end starts from. */
    public static final EndDetails FRESH = new EndDetails("M8", null, null, null, null, null, null, null);
}
