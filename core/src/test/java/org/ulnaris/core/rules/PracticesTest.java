package org.ulnaris.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PracticesTest {
    @ParameterizedTest
    @EnumSource(Practice.class)
    void theUsualOptionHoldsUntilAnotherIsChosen(Practice practice) {
        assertThat(practice.options()).hasSizeGreaterThan(1).doesNotHaveDuplicates();
        assertThat(Practices.USUAL.of(practice)).isEqualTo(practice.usual());
        for (String option : practice.options()) {
            Practices chosen = Practices.USUAL.with(practice, option);
            assertThat(chosen.is(practice, option)).isTrue();
            assertThat(chosen.with(practice, practice.usual())).isEqualTo(Practices.USUAL);
        }
        assertThatThrownBy(() -> Practices.USUAL.with(practice, "NEITHER")).hasMessageContaining(practice.name());
    }

    @Test
    void whatIsUsualIsNotKept() {
        assertThat(new Practices(Map.of(Practice.LAY, "DRESS"))).isEqualTo(Practices.USUAL);
    }
}
