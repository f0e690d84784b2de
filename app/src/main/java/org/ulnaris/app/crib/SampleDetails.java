package org.ulnaris.app.crib;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.proving.PullTable;
import org.ulnaris.core.tooling.Sample;

/**
 * A sample as the log keeps it.
 *
 * @param tool tag of the tool
 * @param die tag of the dies; empty for a spike
 * @param lug code of the lug; empty when not known
 * @param size designation of the conductor
 * @param made when
 * @param voidsPercent open area of the section, %; null when it was not cut open
 * @param pullN greatest pull, N; null when it was not pulled
 * @param parted where it gave way
 * @param note anything else
 */
@Embeddable
public record SampleDetails(
        String tool,
        String die,
        String lug,
        String size,
        LocalDate made,
        @Nullable Double voidsPercent,
        @Nullable Double pullN,
        @Enumerated(EnumType.STRING) Sample.Parted parted,
        String note) {
    private static final int LONGEST_NOTE = 200;
    private static final int LONGEST_LUG = 60;

    /** The fields of a sample; its tool is known where it is entered. */
    static FormFields<SampleDetails> fields(String tool, LocalDate today) {
        return new FormFields<>(
                new SampleDetails(tool, "", "", "", today, null, null, Sample.Parted.NOT_PULLED, ""),
                List.of(
                        Field.of("die", FieldKind.text(DieDetails.LONGEST_TAG, false)),
                        Field.of("lug", FieldKind.text(LONGEST_LUG, false)),
                        Field.of("size", FieldKind.text(DieDetails.LONGEST_TAG, true)),
                        Field.of("made", FieldKind.optionalDay()),
                        Field.of(
                                "voids",
                                "voidsPercent",
                                FieldKind.optionalQuantity(Unit.PERCENT, Sample.VOIDS_PERCENT)),
                        Field.of("pull", "pullN", FieldKind.optionalQuantity(Unit.NEWTON, Sample.FORCE_N)),
                        Field.of("parted", FieldKind.choice(Sample.Parted.class)),
                        Field.of("note", FieldKind.text(LONGEST_NOTE, false))));
    }

    /** As the core judges it, its pull against the small-craft table. */
    public Sample sample() {
        OptionalDouble voids = voidsPercent == null ? OptionalDouble.empty() : OptionalDouble.of(voidsPercent);
        return new Sample(made, voids, pullN == null ? Sample.Pull.NONE : new Sample.Pull(pullN, requiredN(), parted));
    }

    private double requiredN() {
        return ConductorSizes.designated(size)
                .map(known -> PullTable.forceN(known, PullSchool.MARINE).orElse(0))
                .orElse(0.0);
    }
}
