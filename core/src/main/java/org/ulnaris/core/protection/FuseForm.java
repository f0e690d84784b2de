package org.ulnaris.core.protection;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * What a fuse looks like from its flat side, mm, of the families whose standard tells it (ISO 8820, recalled). For pictures only.
 *
 * @param acrossMm along its current
 * @param alongMm at right angles to it
 * @param housingMm of its housing: of a blade fuse {@code alongMm} without the blades, of a strip {@code acrossMm} without its ends
 * @param grip how it is held
 */
public record FuseForm(double acrossMm, double alongMm, double housingMm, Grip grip) {
    private static final Map<FuseFamily, FuseForm> FORMS = forms();

    /** How a fuse is held. */
    public sealed interface Grip {
        /** Two blades that are pushed in. */
        record Blades(double widthMm) implements Grip {}

        /** Two holes for studs. */
        record Holes(double holeMm, double apartMm) implements Grip {}
    }

    private static Map<FuseFamily, FuseForm> forms() {
        Map<FuseFamily, FuseForm> forms = new EnumMap<>(FuseFamily.class);
        for (ReferenceTable.Row row : ReferenceTable.load("fuse-forms.csv").rows()) {
            Grip grip = row.optionalNumber("blade").isPresent()
                    ? new Grip.Blades(row.number("blade"))
                    : new Grip.Holes(row.number("hole"), row.number("apart"));
            forms.put(
                    FuseFamily.valueOf(row.text("family")),
                    new FuseForm(row.number("across"), row.number("along"), row.number("housing"), grip));
        }
        return forms;
    }

    /** The form of a family; empty where it differs by maker and rating. */
    public static Optional<FuseForm> of(FuseFamily family) {
        return Optional.ofNullable(FORMS.get(family));
    }
}
