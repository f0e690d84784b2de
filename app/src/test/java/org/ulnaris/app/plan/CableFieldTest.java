package org.ulnaris.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.rating.RuleSet;

class CableFieldTest {
    static final List<CableField> FIELDS = CableField.ALL;
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("messages", Locale.ROOT);
    /** Components that no field shows by itself: they come of the length and of the current. */
    private static final Set<String> COME_OF_OTHERS = Set.of("legs", "currentFromLoads");

    private static CableDetails fresh(Units units) {
        return CableDetails.fresh(
                new JobDetails("Heron", JobKind.MOBILE, 24, 28.8, units, RuleSet.CFR_183_425, JobRules.USUAL), "C1");
    }

    @Test
    void everyComponentOfACableIsAField() {
        assertThat(CableField.ALL.stream().map(CableField::part))
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(CableDetails.class.getRecordComponents())
                        .map(component -> component.getName())
                        .filter(name -> !COME_OF_OTHERS.contains(name))
                        .toList());
        assertThat(CableField.ALL.stream().map(CableField::key)).doesNotHaveDuplicates();
        assertThat(CableField.ALL.stream().map(CableField::column)).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @FieldSource("FIELDS")
    void whatIsToldIsReadAgain(CableField field) {
        for (Units units : Units.values()) {
            CableDetails cable = fresh(units);
            Map<String, String> typed = new HashMap<>(CableReader.texts(cable, new Fmt(units)));
            Entries entries = new Entries(typed, units);
            assertThat(CableReader.read(entries, typed, cable, Set.of())).isEqualTo(cable);
            assertThat(entries.faults()).isEmpty();
            typed.put(field.key(), "?!" + "x".repeat(200));
            Entries odd = new Entries(typed, units);
            assertThat(CableReader.read(odd, typed, cable, Set.of())).isEqualTo(cable);
            assertThat(odd.faults()).containsOnlyKeys(field.key());
        }
    }

    @ParameterizedTest
    @FieldSource("FIELDS")
    void everyFieldHasItsWords(CableField field) {
        assertThat(BUNDLE.getString("field." + field.key())).isNotBlank();
        field.kind()
                .options()
                .forEach(option -> assertThat(
                                BUNDLE.containsKey(option.getDeclaringClass().getSimpleName() + "." + option.name()))
                        .isTrue());
        assertThat(field.kind().form() == FieldKind.Form.CHOICE)
                .isEqualTo(!field.kind().options().isEmpty());
    }
}
