package org.ulnaris.app.plan;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.measure.Range;

/**
 * What a piece of equipment says about its terminals; an end that lands there starts from it.
 *
 * @param stud name of the stud
 * @param torqueNm its maker's torque, N·m; null when not known
 * @param torqueMinNm lowest that the maker accepts, N·m
 * @param torqueMaxNm highest that the maker accepts, N·m
 * @param clearWidthMm room for the pad, mm; null when nothing limits it
 * @param studLengthMm free stud, mm; null when not known
 * @param mostLugs lugs on one stud at most; null for the usual four
 * @param metal what its pad is made of; null when not known
 */
@Embeddable
public record TerminalSpec(
        String stud,
        @Nullable Double torqueNm,
        @Nullable Double torqueMinNm,
        @Nullable Double torqueMaxNm,
        @Nullable Double clearWidthMm,
        @Nullable Double studLengthMm,
        @Nullable Integer mostLugs,

        @Column(name = "terminal_metal") @Enumerated(EnumType.STRING) @Nullable
        TerminalMetal metal) {
    public static final Range MOST_LUGS = new Range(0, 20);
}
