package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.termination.Landing;

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
 * @param contact what it ends with in place of a tube lug; null for a lug
 * @param around the room around the stud; null when nothing is said
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
        @Nullable String dieTag,
        @Embedded @Nullable ContactChoice contact,
        @Embedded @Nullable Surroundings around) {
    /** What an end starts from. */
    public static final EndDetails FRESH = on("M8");

    private static final FieldKind CODE = FieldKind.optionalText(ContactChoice.LONGEST_CODE);

    /** Its fields, but for its contact and the room around it. */
    static final FormFields<EndDetails> FIELDS = new FormFields<>(
            FRESH,
            Stream.concat(
                            TerminalSpec.landing(true).stream(),
                            Stream.of(Field.of("lug", "lugCode", CODE), Field.of("die", "dieTag", CODE)))
                    .toList());

    /** An end of which only the stud is known. */
    public static EndDetails on(String stud) {
        return new EndDetails(stud, null, null, null, null, null, null, null, null, null);
    }

    /** The same end with another contact; null for a tube lug. */
    public EndDetails with(@Nullable ContactChoice other) {
        return new EndDetails(
                stud, torqueNm, torqueMinNm, torqueMaxNm, clearWidthMm, studLengthMm, lugCode, dieTag, other, around);
    }

    /** The same end with what the device's maker asks, N·m. */
    public EndDetails torqued(double makerNm) {
        return new EndDetails(stud, makerNm, null, null, clearWidthMm, studLengthMm, lugCode, dieTag, contact, around);
    }

    /** The same end with nothing picked by hand. */
    public EndDetails freed() {
        ContactChoice free = contact == null ? null : contact.freed();
        return new EndDetails(
                stud, torqueNm, torqueMinNm, torqueMaxNm, clearWidthMm, studLengthMm, null, null, free, around);
    }

    /** Whether it ends with a part of the same family. */
    boolean ofKind(EndDetails other) {
        return ContactChoice.familyOf(contact) == ContactChoice.familyOf(other.contact);
    }

    /** The same landing with the lug, dies and contact of {@code picked}. */
    EndDetails as(EndDetails picked) {
        return new EndDetails(
                stud,
                torqueNm,
                torqueMinNm,
                torqueMaxNm,
                clearWidthMm,
                studLengthMm,
                picked.lugCode(),
                picked.dieTag(),
                picked.contact == null ? null : picked.contact.at(contact),
                around);
    }

    /** The same end in another room. */
    public EndDetails in(@Nullable Surroundings room) {
        return new EndDetails(
                stud,
                torqueNm,
                torqueMinNm,
                torqueMaxNm,
                clearWidthMm,
                studLengthMm,
                lugCode,
                dieTag,
                contact,
                room == null ? null : room.saidOrNull());
    }

    /** As the core knows it; {@code facing} is how the job's connectors lie. */
    public EndModel model(JobRules.Facing facing) {
        return new EndModel(
                new Landing(
                        Studs.named(stud).orElseThrow(),
                        optional(clearWidthMm),
                        optional(studLengthMm),
                        surroundings().around()),
                torque(),
                lugCode,
                dieTag,
                contact == null ? null : contact.pick(facing),
                surroundings().count(),
                surroundings().studPoints(),
                true);
    }

    private @Nullable TorqueSpec torque() {
        Double nominal = torqueNm;
        if (nominal == null) {
            return null;
        }
        Source source = Source.deviceMaker();
        TorqueSpec around = TorqueSpec.around(nominal, source);
        return new TorqueSpec(
                nominal,
                torqueMinNm == null ? around.minNm() : torqueMinNm,
                torqueMaxNm == null ? around.maxNm() : torqueMaxNm,
                source);
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    Surroundings surroundings() {
        return around == null ? Surroundings.OPEN : around;
    }
}
