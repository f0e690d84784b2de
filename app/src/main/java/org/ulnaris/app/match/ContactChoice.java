package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.job.EndModel;

/**
 * A contact in place of a tube lug.
 *
 * @param family its family
 * @param contactCode one picked by hand; null for the proposal
 * @param joinMethod how it is joined
 * @param ownKey colour or key of this half, make of a PV connector; empty when nothing is said
 * @param mateKey the same of the counterpart
 */
@Embeddable
public record ContactChoice(
        @Enumerated(EnumType.STRING) Family family,
        @Nullable String contactCode,
        @Enumerated(EnumType.STRING) JoinMethod joinMethod,
        @Nullable String ownKey,
        @Nullable String mateKey) {
    public static final int LONGEST_KEY = 24;
    static final int LONGEST_CODE = 60;

    private static final FieldKind KEY = FieldKind.optionalText(LONGEST_KEY);

    /** Its fields, over a tube lug. */
    static final FormFields<ContactChoice> FIELDS = new FormFields<>(
            new ContactChoice(Family.TUBE_LUG, null, JoinMethod.CRIMP, null, null),
            List.of(
                    Field.of("family", FieldKind.choice(Family.class)),
                    Field.of("contact", "contactCode", FieldKind.optionalText(LONGEST_CODE)),
                    Field.of("method", "joinMethod", FieldKind.choice(JoinMethod.class)),
                    Field.of("ownKey", KEY),
                    Field.of("mateKey", KEY)));

    /** The family that an end of {@code choice} ends with; null for a tube lug. */
    static Family familyOf(@Nullable ContactChoice choice) {
        return choice == null ? Family.TUBE_LUG : choice.family();
    }

    /** The same pick at a place that {@code there} speaks of: keys are what stands at an end, and go nowhere else. */
    ContactChoice at(@Nullable ContactChoice there) {
        return there != null && there.family == family
                ? new ContactChoice(family, contactCode, joinMethod, there.ownKey, there.mateKey)
                : new ContactChoice(family, contactCode, joinMethod, null, null);
    }

    /** The same choice with the contact that is proposed. */
    ContactChoice freed() {
        return new ContactChoice(family, null, joinMethod, ownKey, mateKey);
    }

    /** As the core knows it. */
    EndModel.Pick pick(JobRules.Facing facing) {
        return new EndModel.Pick(family, contactCode, joinMethod, mating(facing));
    }

    /** Stackable halves that are arranged alike mate: the job's convention against the plug that is there. */
    private ContactDemand.Mating mating(JobRules.Facing facing) {
        String own = family == Family.STACKABLE ? facing.name() : ownKey;
        return new ContactDemand.Mating(own == null ? "" : own, mateKey == null ? "" : mateKey);
    }
}
