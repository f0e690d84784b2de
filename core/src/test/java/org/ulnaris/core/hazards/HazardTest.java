package org.ulnaris.core.hazards;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;

/** Installations of our own invention: each with one hazard and what a surveyor writes about it, or sound. */
class HazardTest {
    private static List<Sketch.Drawn> read(String file) {
        try (InputStream in = Objects.requireNonNull(HazardTest.class.getResourceAsStream("/hazards/" + file))) {
            return Sketch.all(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static List<Sketch.Drawn> hazards() {
        return read("hazards.txt");
    }

    static List<Sketch.Drawn> sound() {
        return read("sound.txt");
    }

    static List<Sketch.Drawn> both() {
        return Stream.concat(hazards().stream(), sound().stream()).toList();
    }

    @ParameterizedTest
    @MethodSource("hazards")
    @CheckedAgainst(value = "common practice: what a surveyor writes about one mistake", how = "common practice")
    void theHazardIsSaid(Sketch.Drawn drawn) {
        Survey survey = Survey.of(drawn.installation());
        assertThat(drawn.expected()).isNotEmpty();
        for (Sketch.Expected expected : drawn.expected()) {
            assertThat(survey.said())
                    .as("%s", survey.asking())
                    .anyMatch(said -> said.tag().equals(expected.tag())
                            && said.code().name().equals(expected.code())
                            && said.verdict().name().equals(expected.verdict()));
        }
    }

    @ParameterizedTest
    @MethodSource("sound")
    @CheckedAgainst(value = "common practice: sound installations are not stopped", how = "common practice")
    void whatIsSoundIsNotStopped(Sketch.Drawn drawn) {
        Survey survey = Survey.of(drawn.installation());
        assertThat(survey.asking())
                .as("%s", survey.asking())
                .noneMatch(said -> said.verdict() == Verdict.STOP || said.verdict() == Verdict.OPEN);
        assertThat(survey.asking().size() * 10)
                .as("%s", survey.asking())
                .isLessThan(survey.said().size());
    }

    @ParameterizedTest
    @MethodSource("both")
    void noOrderOfListsMatters(Sketch.Drawn drawn) {
        Installation as = drawn.installation();
        Random random = new Random(drawn.name().hashCode());
        for (int i = 0; i < 3; i++) {
            List<Device> devices = new ArrayList<>(as.devices());
            List<Run> runs = new ArrayList<>(as.runs());
            Collections.shuffle(devices, random);
            Collections.shuffle(runs, random);
            assertThat(Survey.of(new Installation(as.system(), devices, runs, as.cases()))
                            .verdicts())
                    .isEqualTo(Survey.of(as).verdicts());
        }
    }

    /** Every cable turned end for end, every fuse and switch turned round. */
    @ParameterizedTest
    @MethodSource("both")
    void noDirectionMatters(Sketch.Drawn drawn) {
        Installation as = drawn.installation();
        List<Run> turned = as.runs().stream()
                .map(run -> new Run(
                        run.tag(),
                        turned(as, run.to()),
                        turned(as, run.from()),
                        run.lengthM(),
                        run.laying(),
                        run.fixed()))
                .toList();
        assertThat(Survey.of(new Installation(as.system(), as.devices(), turned, as.cases()))
                        .verdicts())
                .isEqualTo(Survey.of(as).verdicts());
    }

    /** A fuse that sits on a bar has one side for cables. */
    private static Terminal turned(Installation as, Terminal terminal) {
        boolean mounted = as.devices().stream()
                .anyMatch(device -> device instanceof Device.Fuse fuse
                        && fuse.on() != null
                        && fuse.tag().equals(terminal.device()));
        boolean through = !mounted && (terminal.port() == Terminal.Port.IN || terminal.port() == Terminal.Port.OUT);
        return through ? new Terminal(terminal.device(), terminal.port().across()) : terminal;
    }

    /** Tags that sort the other way round. */
    @ParameterizedTest
    @MethodSource("both")
    void noNameMatters(Sketch.Drawn drawn) {
        Installation as = drawn.installation();
        Map<String, String> names = new HashMap<>();
        List<String> tags = Stream.concat(
                        as.devices().stream().map(Device::tag),
                        as.runs().stream().map(Run::tag))
                .sorted()
                .toList();
        for (int i = 0; i < tags.size(); i++) {
            names.put(tags.get(i), "N" + (1000 - i));
        }
        Set<String> expected = Survey.of(as).verdicts().stream()
                .map(one -> names.get(one.substring(0, one.indexOf(' '))) + one.substring(one.indexOf(' ')))
                .collect(Collectors.toSet());
        assertThat(Survey.of(Copies.named(as, names)).verdicts()).isEqualTo(expected);
    }

    /** The same installation twice in one job, unconnected. */
    @ParameterizedTest
    @MethodSource("both")
    void twiceTheSameIsSaidTwice(Sketch.Drawn drawn) {
        Installation as = drawn.installation();
        Map<String, String> names = new HashMap<>();
        as.devices().forEach(device -> names.put(device.tag(), device.tag() + "2"));
        as.runs().forEach(run -> names.put(run.tag(), run.tag() + "2"));
        Installation other = Copies.named(as, names);
        List<Device> devices = new ArrayList<>(as.devices());
        devices.addAll(other.devices());
        List<Run> runs = new ArrayList<>(as.runs());
        runs.addAll(other.runs());
        List<OperatingCase> cases = new ArrayList<>();
        for (int i = 0; i < as.cases().size(); i++) {
            Map<String, OperatingCase.State> states =
                    new HashMap<>(as.cases().get(i).states());
            states.putAll(other.cases().get(i).states());
            cases.add(new OperatingCase(as.cases().get(i).name(), states, 1));
        }
        Set<String> twice =
                Survey.of(new Installation(as.system(), devices, runs, cases)).verdicts();
        Set<String> once = Survey.of(as).verdicts();
        assertThat(twice).containsAll(once).hasSize(2 * once.size());
    }

    @Test
    void thereAreEnoughOfThem() {
        assertThat(hazards()).hasSizeGreaterThanOrEqualTo(80);
        assertThat(sound()).hasSizeGreaterThanOrEqualTo(30);
        assertThat(both()).extracting(Sketch.Drawn::name).doesNotHaveDuplicates();
    }
}
