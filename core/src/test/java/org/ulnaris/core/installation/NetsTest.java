package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

class NetsTest {
    private static Nets nets(List<Device> devices, String... joined) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        List<Run> runs = new ArrayList<>();
        for (String pair : joined) {
            String[] ends = pair.split(" ");
            runs.add(new Run("C" + runs.size(), Terminal.parse(ends[0]), Terminal.parse(ends[1]), 1, laying, null));
        }
        return new Nets(new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                devices,
                runs,
                List.of(new OperatingCase("all", Map.of(), 1))));
    }

    private static Device bank(String tag, Chemistry chemistry, int series) {
        return new Device.Bank(tag, Device.BankBuild.typical(chemistry, series, 1, 100));
    }

    @Test
    @CheckedAgainst(value = "Kirchhoff's voltage law: three batteries of 12 V in series", how = "exact")
    void aStringStandsInSteps() {
        Nets nets = nets(
                List.of(
                        bank("C", Chemistry.LEAD_AGM, 1),
                        bank("A", Chemistry.LEAD_AGM, 1),
                        bank("B", Chemistry.LEAD_AGM, 1)),
                "A.plus B.minus",
                "B.plus C.minus");
        assertThat(nets.levelV("A.minus")).hasValue(0);
        assertThat(nets.levelV("B.plus")).hasValue(24);
        assertThat(nets.levelV("C.plus")).hasValue(36);
        assertThat(nets.highestV("C.plus")).isCloseTo(3 * 14.4, within(1e-9));
        assertThat(nets.returns("A.minus")).isTrue();
        assertThat(nets.live("B.minus")).isTrue();
        assertThat(nets.contradictions()).isEmpty();
    }

    /** The fuse in a minus stands against what the bank above it gives. */
    @Test
    void aReturnStandsAgainstItsSource() {
        Nets nets = nets(
                List.of(bank("B", Chemistry.LITHIUM_IRON, 16), new Device.Link("S", 0.0001), new Device.Bar("NEG")),
                "B.minus S.in",
                "S.out NEG.bar");
        assertThat(nets.highestV("NEG")).isCloseTo(57.6, within(1e-9));
        assertThat(nets.returns("NEG")).isTrue();
        assertThat(nets.levelV("B.plus").getAsDouble()).isCloseTo(51.2, within(1e-9));
    }

    /** Which of two is wrong nobody can tell: both are named, in any order. */
    @Test
    void sourcesThatContradictAreAllNamed() {
        List<Device> devices = List.of(
                bank("X", Chemistry.LEAD_AGM, 2),
                bank("A", Chemistry.LEAD_AGM, 1),
                bank("L", Chemistry.LITHIUM_IRON, 4),
                new Device.Charger("CH", 14.4, 0.01, 20));
        Nets nets = nets(
                devices,
                "A.plus X.plus",
                "A.minus X.minus",
                "A.plus L.plus",
                "A.minus L.minus",
                "CH.plus A.minus",
                "CH.minus A.plus");
        assertThat(nets.contradictions())
                .extracting(found -> found.source().device().tag())
                .containsExactly("A", "L", "X", "CH");
        assertThat(nets.contradictions().get(3).foundV()).isNegative();
        assertThat(nets(List.of(bank("A", Chemistry.LEAD_AGM, 1)), "A.plus A.minus")
                        .contradictions())
                .singleElement()
                .satisfies(found -> assertThat(found.isShort()).isTrue());
    }

    @Test
    void whatNoSourceTouchesHasNoLevel() {
        Nets nets = nets(List.of(bank("A", Chemistry.LEAD_AGM, 1), new Device.Bar("LOOSE")));
        assertThat(nets.levelV("LOOSE")).isEmpty();
        assertThat(nets.live("LOOSE")).isFalse();
        assertThat(nets.returns("LOOSE")).isFalse();
        assertThat(nets.lifting("LOOSE")).isEmpty();
    }
}
