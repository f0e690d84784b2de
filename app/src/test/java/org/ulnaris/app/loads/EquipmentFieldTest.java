package org.ulnaris.app.loads;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.rating.RuleSet;

class EquipmentFieldTest {
    /** Components that every kind has, and that are read by themselves. */
    private static final Set<String> OF_EVERY_KIND = Set.of("tag", "name", "kind", "terminal");
    /** What nobody can start from: it has to be said of a new piece. */
    private static final Map<String, String> SAID = Map.of(
            "power",
            "900 W",
            "current",
            "40 A",
            "rating",
            "100 A",
            "tag",
            "P1",
            "openVolt",
            "24 V",
            "workVolt",
            "20 V",
            "shortCurrent",
            "10 A",
            "workCurrent",
            "9 A");

    private static JobDetails job(Units units) {
        return new JobDetails("Heron", JobKind.MOBILE, 24, 28.8, units, RuleSet.CFR_183_425, JobRules.USUAL);
    }

    private static EquipmentDetails piece(EquipmentKind kind, Units units) {
        Entries entries = new Entries(SAID, units);
        EquipmentDetails piece = EquipmentReader.read(entries, EquipmentReader.fresh(kind, job(units)));
        assertThat(entries.faults()).isEmpty();
        return piece;
    }

    @Test
    void everyComponentIsAFieldAndEveryFieldIsOfAKind() {
        assertThat(EquipmentField.ALL.stream().map(EquipmentField::part).collect(Collectors.toSet()))
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(EquipmentDetails.class.getRecordComponents())
                        .map(component -> component.getName())
                        .filter(name -> !OF_EVERY_KIND.contains(name))
                        .toList());
        assertThat(EquipmentField.ALL.stream().map(EquipmentField::key))
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(EquipmentKind.values())
                        .flatMap(kind -> kind.fields().stream())
                        .collect(Collectors.toSet()));
    }

    @ParameterizedTest
    @EnumSource
    void whatIsToldIsReadAgainAndWhatIsOddLeavesWhatStands(EquipmentKind kind) {
        for (Units units : Units.values()) {
            EquipmentDetails piece = piece(kind, units);
            Map<String, String> told = EquipmentReader.texts(piece, new Fmt(units));
            Entries again = new Entries(told, units);
            assertThat(EquipmentReader.read(again, piece)).isEqualTo(piece);
            assertThat(again.faults()).isEmpty();
            for (String field : kind.fields()) {
                Map<String, String> typed = new HashMap<>(told);
                typed.put(field, "?!" + "x".repeat(200));
                Entries odd = new Entries(typed, units);
                assertThat(EquipmentReader.read(odd, piece)).as(field).isEqualTo(piece);
                assertThat(odd.faults()).containsOnlyKeys(field);
            }
        }
    }

    /** An empty entry says something only where nothing need be said. */
    @ParameterizedTest
    @EnumSource
    void whatHasToBeSaidIsAskedFor(EquipmentKind kind) {
        EquipmentDetails piece = piece(kind, Units.METRIC);
        for (EquipmentField field : EquipmentField.of(kind)) {
            Entries entries = new Entries(Map.of(field.key(), ""), Units.METRIC);
            EquipmentReader.read(entries, piece);
            assertThat(entries.clean())
                    .as(kind + " " + field.key())
                    .isEqualTo(field.entered(kind).mayBeEmpty());
        }
    }
}
