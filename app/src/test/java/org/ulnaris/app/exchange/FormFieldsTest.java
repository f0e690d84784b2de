package org.ulnaris.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.app.crib.DieDetails;
import org.ulnaris.app.crib.ToolDetails;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.stock.EnteredContact;
import org.ulnaris.app.stock.EnteredLug;
import org.ulnaris.core.termination.LugMaterial;

class FormFieldsTest {
    private static final Fmt FMT = new Fmt(Units.METRIC);

    static Stream<FormFields<?>> forms() {
        return Stream.of(
                EnteredLug.FIELDS, EnteredContact.FIELDS, DieDetails.FIELDS, ToolDetails.FIELDS, TerminalSpec.FIELDS);
    }

    private static List<String> parts(Class<?> record) {
        return Arrays.stream(record.getRecordComponents())
                .map(RecordComponent::getName)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("forms")
    void everyComponentIsOneField(FormFields<?> form) {
        assertThat(form.fields().stream().map(FormFields.Field::part))
                .containsExactlyInAnyOrderElementsOf(parts(form.fresh().getClass()));
        assertThat(form.keys()).doesNotHaveDuplicates();
        assertThat(form.byColumn()).hasSameSizeAs(form.keys());
    }

    /** An odd entry is told by its field, and what stands stays; free text takes anything short. */
    @ParameterizedTest
    @MethodSource("forms")
    <R extends Record> void whatCanNotBeReadLeavesWhatStands(FormFields<R> form) {
        for (FormFields.Field field : form.fields()) {
            Entries odd = new Entries(Map.of(field.key(), "?!" + "x".repeat(200)), Units.METRIC);
            R read = form.read(odd, form.fresh());
            assertThat(odd.faults()).as(field.key()).containsKey(field.key());
            assertThat(Records.part(read, field.part())).isEqualTo(Records.part(form.fresh(), field.part()));
        }
    }

    @Test
    void whatIsToldIsReadAgain() {
        EnteredLug lug = new EnteredLug(
                "heron 50",
                LugMaterial.ALUMINIUM,
                14.5,
                10.0,
                28.0,
                22.0,
                8.4,
                45.0,
                25.4,
                LugMaterial.COPPER,
                "tinned",
                true,
                false,
                2);
        holds(EnteredLug.FIELDS, lug);
        assertThat(EnteredLug.FIELDS.texts(lug, FMT))
                .containsEntry("angle", "45°")
                .containsEntry("pitch", "25.4 mm");
        holds(TerminalSpec.FIELDS, new TerminalSpec("3/8", 14.0, 12.0, 16.0, 30.0, 25.0, 3, null));
    }

    private static <R extends Record> void holds(FormFields<R> form, R record) {
        Entries entries = new Entries(new HashMap<>(form.texts(record, FMT)), Units.METRIC);
        assertThat(form.read(entries, form.fresh())).isEqualTo(record);
        assertThat(entries.faults()).isEmpty();
    }

    /** What a program may send is what it is told. */
    @Test
    void membersStandInTheSchema() {
        assertThat(parts(PartsModel.LugPart.class))
                .containsAll(EnteredLug.FIELDS.byMember().keySet());
        assertThat(parts(PartsModel.ContactPart.class))
                .containsAll(EnteredContact.FIELDS.byMember().keySet());
        assertThat(parts(PartsModel.DiePart.class))
                .containsAll(DieDetails.FIELDS.byMember().keySet());
        assertThat(parts(PartsModel.ToolPart.class))
                .containsAll(ToolDetails.FIELDS.byMember().keySet());
    }

    /** Every column of a table, and whether it is needed, stands in its description. */
    @Test
    void columnsAreDescribed() throws IOException {
        described("lugs", EnteredLug.FIELDS);
        described("contacts", EnteredContact.FIELDS);
    }

    private static void described(String name, FormFields<?> form) throws IOException {
        String text = Files.readString(Path.of("../docs/formats/" + name + ".md"));
        assertThat(form.byColumn().keySet())
                .allSatisfy(column -> assertThat(text).contains("`" + column + "`"));
    }

    @Test
    void aTagOnceGivenStays() {
        FieldKind tag = DieDetails.FIELDS.fields().get(0).kind();
        Entries entries = new Entries(Map.of("tag", "K2"), Units.METRIC);
        assertThat(tag.reading().of(entries, "tag", "K1")).isEqualTo("K1");
        assertThat(tag.reading().of(entries, "tag", "")).isEqualTo("K2");
    }
}
