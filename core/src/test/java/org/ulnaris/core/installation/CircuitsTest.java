package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

class CircuitsTest {
    private static Run run(String tag, String from, String to) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), 1, laying, null);
    }

    @Test
    void aCircuitIsWhatHangsTogetherBetweenBarsAndBanks() {
        Installation job = new Installation(
                new Installation.System(24, 29, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 1, 100)),
                        new Device.Fuse("MAIN", 0.0003, FuseFamily.CLASS_T, 200),
                        new Device.Bar("BUS"),
                        new Device.Link("SHUNT", 0.0001),
                        new Device.Fuse("CF", 0.001, FuseFamily.CLASS_T, 60),
                        new Device.Charger("CHG", 29, 0.01, 40),
                        new Device.Consumer("LAMP", Device.Draw.steady(Device.DrawKind.CURRENT, 10, 1, 20), 3)),
                List.of(
                        run("B+", "BANK.plus", "MAIN.in"),
                        run("F+", "MAIN.out", "BUS.bar"),
                        run("C1", "BUS.bar", "CF.in"),
                        run("C2", "CF.out", "CHG.plus"),
                        run("C-", "CHG.minus", "SHUNT.in"),
                        run("L+", "BUS.bar", "LAMP.plus"),
                        run("L-", "LAMP.minus", "SHUNT.in"),
                        run("B-", "SHUNT.out", "BANK.minus")),
                List.of(new OperatingCase("all", Map.of(), 1)));
        assertThat(Circuits.of(job))
                .containsEntry("B+", "BANK")
                .containsEntry("F+", "BANK")
                .containsEntry("B-", "BANK")
                .containsEntry("C1", "CHG")
                .containsEntry("C2", "CHG")
                .containsEntry("C-", "CHG")
                .containsEntry("L+", "LAMP")
                .containsEntry("L-", "LAMP");
    }
}
