package org.ulnaris.app.plan;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Landing;

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
    private static final int LONGEST_STUD = 12;

    /** The fields of a terminal, over one of which nothing is known. */
    public static final FormFields<TerminalSpec> FIELDS = new FormFields<>(
            new TerminalSpec("", null, null, null, null, null, null, null),
            Stream.concat(
                            landing(false).stream(),
                            Stream.of(
                                    Field.of("lugs", "mostLugs", FieldKind.optionalCount(new Range(0, 20))),
                                    Field.of("metal", FieldKind.optionalChoice(TerminalMetal.class))))
                    .toList());

    /** The fields of a stud that a lug goes on to. */
    public static List<Field> landing(boolean required) {
        FieldKind torque = FieldKind.optionalQuantity(Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM);
        return List.of(
                Field.of(
                        "stud",
                        FieldKind.listed(
                                LONGEST_STUD,
                                required,
                                name -> Studs.named(name).map(Stud::name),
                                () -> Studs.all().stream().map(Stud::name).toList())),
                Field.of("torque", "torqueNm", torque),
                Field.of("torqueMin", "torqueMinNm", torque),
                Field.of("torqueMax", "torqueMaxNm", torque),
                Field.of("clear", "clearWidthMm", FieldKind.optionalQuantity(Unit.MM, Landing.CLEAR_WIDTH_MM)),
                Field.of("studLength", "studLengthMm", FieldKind.optionalQuantity(Unit.MM, Landing.STUD_LENGTH_MM)));
    }
}
