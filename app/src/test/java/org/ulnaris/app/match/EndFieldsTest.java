package org.ulnaris.app.match;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.rules.Practices;

class EndFieldsTest {
    /** Components that have fields of their own. */
    private static final Set<String> COMPOUND = Set.of("contact", "around");

    @Test
    void everyComponentOfAnEndIsAField() {
        for (FormFields<?> form : List.of(EndDetails.FIELDS, Surroundings.FIELDS, ContactChoice.FIELDS)) {
            assertThat(form.fields().stream().map(FormFields.Field::part))
                    .containsExactlyInAnyOrderElementsOf(
                            Arrays.stream(form.fresh().getClass().getRecordComponents())
                                    .map(RecordComponent::getName)
                                    .filter(name -> !COMPOUND.contains(name))
                                    .toList());
        }
        assertThat(Stream.of(EndDetails.FIELDS, Surroundings.FIELDS, ContactChoice.FIELDS)
                        .flatMap(form -> form.keys().stream()))
                .doesNotHaveDuplicates();
    }

    @Test
    void whatIsToldIsReadAgain() {
        EndDetails end = new EndDetails(
                "M10",
                14.0,
                12.0,
                16.0,
                30.0,
                25.0,
                null,
                "K14",
                new ContactChoice(Family.PV, null, JoinMethod.CRIMP, "owl", "heron"),
                new Surroundings(15.0, 40.0, 48.0, 33.0, 25.4, Heading.FORWARD, 2));
        for (Units units : Units.values()) {
            Entries entries = new Entries(new HashMap<>(EndReader.texts(end, new Fmt(units))), units);
            EndReader.House house = new EndReader.House(List.of(), Practices.USUAL);
            EndDetails first = EndReader.read(entries, EndDetails.FRESH, house);
            assertThat(entries.faults()).isEmpty();
            assertThat(EndReader.read(entries, first, house)).isEqualTo(end);
        }
    }

    /** One conductor goes without saying. */
    @Test
    void nothingSaidOfTheRoomIsNothingKept() {
        assertThat(new Surroundings(null, null, null, null, null, null, 1).saidOrNull())
                .isNull();
    }
}
