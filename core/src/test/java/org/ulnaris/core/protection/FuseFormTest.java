package org.ulnaris.core.protection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;

class FuseFormTest {
    @ParameterizedTest
    @CheckedAgainst("ISO 8820-5: strip fuses are named by the distance of their holes, for studs M5 and M8 (recalled)")
    @CsvSource({"SF30,30,5", "SF51,51,8"})
    void aStripIsNamedByTheDistanceOfItsHoles(FuseFamily family, double apart, double stud) {
        FuseForm.Grip.Holes holes =
                (FuseForm.Grip.Holes) FuseForm.of(family).orElseThrow().grip();
        assertThat(holes.apartMm()).isEqualTo(apart);
        assertThat(holes.holeMm()).isBetween(stud, stud + 0.6);
    }

    /** Miniature, medium, high current: each stands above the one before in every direction. */
    @Test
    void bladesGrowWithTheirType() {
        Stream<FuseForm> forms = Stream.of(FuseFamily.BLADE_F, FuseFamily.BLADE_C, FuseFamily.BLADE_E)
                .map(family -> FuseForm.of(family).orElseThrow());
        assertThat(forms.toList())
                .isSortedAccordingTo(Comparator.comparingDouble(FuseForm::acrossMm))
                .isSortedAccordingTo(Comparator.comparingDouble(FuseForm::alongMm))
                .isSortedAccordingTo(Comparator.comparingDouble(FuseForm::housingMm))
                .isSortedAccordingTo(
                        Comparator.comparingDouble(form -> ((FuseForm.Grip.Blades) form.grip()).widthMm()));
    }

    /** What holds a fuse lies on it and clear of its housing. */
    @ParameterizedTest
    @EnumSource
    void thePartsOfAFormHaveRoomOnIt(FuseFamily family) {
        FuseForm.of(family).ifPresent(form -> {
            if (form.grip() instanceof FuseForm.Grip.Holes holes) {
                assertThat(holes.apartMm() + holes.holeMm()).isLessThan(form.acrossMm());
                assertThat(holes.apartMm() - holes.holeMm()).isGreaterThan(form.housingMm());
                assertThat(holes.holeMm()).isLessThan(form.alongMm());
            } else if (form.grip() instanceof FuseForm.Grip.Blades blades) {
                assertThat(2 * blades.widthMm()).isLessThan(form.acrossMm());
                assertThat(form.housingMm()).isLessThan(form.alongMm());
            }
        });
    }
}
