package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.CrimpBand;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.making.Caution;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.termination.LugMaterial;

class WordsTest {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("messages", Locale.ROOT);

    static Stream<Enum<?>> named() {
        return Stream.of(
                        JobKind.values(),
                        Polarity.values(),
                        SizeSeries.values(),
                        CrimpBand.values(),
                        HardwareStack.Part.values(),
                        Confidence.values(),
                        Verdict.values(),
                        Caution.values(),
                        ReadingKind.values(),
                        RuleSet.values(),
                        LugMaterial.values(),
                        EquipmentKind.values(),
                        Chemistry.values(),
                        FuseFamily.values(),
                        Units.values())
                .flatMap(Stream::of);
    }

    @ParameterizedTest
    @MethodSource("named")
    void everyConstantHasAName(Enum<?> constant) {
        assertThat(BUNDLE.getString(constant.getDeclaringClass().getSimpleName() + "." + constant.name()))
                .isNotBlank();
    }

    @ParameterizedTest
    @EnumSource(FindingCode.class)
    void everyFindingHasATitleAndWords(FindingCode code) {
        assertThat(BUNDLE.getString("finding." + code)).isNotBlank();
        assertThat(Verdict.values()).anyMatch(verdict -> BUNDLE.containsKey("finding." + code + "." + verdict));
    }

    @ParameterizedTest
    @EnumSource(StepKind.class)
    void everyStepHasWords(StepKind kind) {
        assertThat(BUNDLE.getString("step." + kind)).isNotBlank();
        assertThat(BUNDLE.getString("step." + kind + ".do")).isNotBlank();
    }

    @ParameterizedTest
    @EnumSource(EquipmentKind.class)
    void everyFieldOfEquipmentHasWords(EquipmentKind kind) {
        for (String field : kind.fields()) {
            assertThat(BUNDLE.getString("equipment." + field)).isNotBlank();
            assertThat(BUNDLE.getString("field." + field)).isNotBlank();
            assertThat(Set.of("chemistry", "family", "stringTap", "stringFuses").contains(field)
                            || BUNDLE.containsKey("equipment." + field + ".hint"))
                    .isTrue();
        }
    }

    @Test
    void everyFaultHasWords() {
        assertThat(Fault.Code.values())
                .allSatisfy(
                        code -> assertThat(BUNDLE.getString("fault." + code)).isNotBlank());
        assertThat(MeasureException.Reason.values())
                .allSatisfy(
                        reason -> assertThat(Fault.Code.valueOf(reason.name())).isNotNull());
    }

    /** The later of two would win in silence, wherever the first is meant. */
    @Test
    void noKeyStandsTwice() throws IOException {
        List<String> keys = Files.readAllLines(Path.of("src/main/resources/messages.properties")).stream()
                .filter(line -> line.contains("=") && !line.startsWith("#"))
                .map(line -> line.substring(0, line.indexOf('=')).strip())
                .toList();
        assertThat(keys).hasSize(BUNDLE.keySet().size()).doesNotHaveDuplicates();
    }

    @Test
    void noMessageIsEmpty() {
        assertThat(BUNDLE.keySet())
                .allSatisfy(key -> assertThat(BUNDLE.getString(key)).as(key).isNotBlank());
    }

    @ParameterizedTest
    @CsvSource({"METRIC,2.4,2.40 m,20.0 mm,14.0 N·m", "US,2.4,7.87 ft,0.79 in,124 lbf·in"})
    void figuresInBothUnits(Units units, double metre, String route, String small, String torque) {
        Fmt fmt = new Fmt(units);
        assertThat(fmt.route(metre)).isEqualTo(route.replace(' ', '\u00a0'));
        assertThat(fmt.small(20)).isEqualTo(small.replace(' ', '\u00a0'));
        assertThat(fmt.torque(14)).isEqualTo(torque.replace(' ', '\u00a0'));
        assertThat(fmt.figure(Double.NaN, "°C")).isEqualTo("—");
        assertThat(fmt.entry(null, Unit.MM)).isEmpty();
    }

    /** A zero behind the point says how finely a strip or a gap is measured; along a cable it says nothing. */
    @ParameterizedTest
    @CsvSource({
        "METRIC, 12, 12.0 mm",
        "METRIC, 99.94, 99.9 mm",
        "METRIC, 1600, 1600 mm",
        "METRIC, 177.8, 177.8 mm",
        "US, 177.8, 7.00 in",
        "US, 1828.8, 72 in",
        "US, 2100, 82.68 in"
    })
    void alongACableNoZeroSpeaksOfCare(Units units, double mm, String text) {
        assertThat(new Fmt(units).figure(mm, "mm")).isEqualTo(text.replace(' ', '\u00a0'));
    }

    /** What was typed comes back as it was typed, not as a long fraction of the job's unit. */
    @ParameterizedTest
    @CsvSource({
        "US, 0.3, M, 0.3 m",
        "US, 0.9144, M, 3 ft",
        "US, 150, MM, 150 mm",
        "US, 152.4, MM, 6 in",
        "US, 15.875, MM, 0.625 in",
        "US, 14, NEWTON_METRE, 14 N·m",
        "US, 30, CELSIUS, 86 °F",
        "METRIC, 0.3, M, 0.3 m",
        "METRIC, 1.0922, M, 43 in",
        "METRIC, 14.0099321, NEWTON_METRE, 14.0099 N·m",
        "US, 1.23456789, M, 4.05042 ft"
    })
    void entriesComeBackAsTyped(Units units, double value, Unit kept, String text) {
        assertThat(new Fmt(units).entry(value, kept)).isEqualTo(text);
    }
}
