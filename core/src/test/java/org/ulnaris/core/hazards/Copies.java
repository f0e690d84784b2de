package org.ulnaris.core.hazards;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;

/** Installations under other names. */
final class Copies {
    private Copies() {}

    static Installation named(Installation as, Map<String, String> names) {
        List<Device> devices =
                as.devices().stream().map(device -> named(device, names)).toList();
        List<Run> runs = as.runs().stream()
                .map(run -> new Run(
                        names.get(run.tag()),
                        new Terminal(names.get(run.from().device()), run.from().port()),
                        new Terminal(names.get(run.to().device()), run.to().port()),
                        run.lengthM(),
                        run.laying(),
                        run.fixed()))
                .toList();
        List<OperatingCase> cases = as.cases().stream()
                .map(one -> {
                    Map<String, OperatingCase.State> states = new HashMap<>();
                    one.states().forEach((tag, state) -> states.put(names.get(tag), state));
                    return new OperatingCase(one.name(), states, one.hoursPerDay());
                })
                .toList();
        return new Installation(as.system(), devices, runs, cases);
    }

    private static Device named(Device device, Map<String, String> names) {
        String tag = names.get(device.tag());
        if (device instanceof Device.Bank bank) {
            return new Device.Bank(tag, bank.build());
        } else if (device instanceof Device.Charger charger) {
            return new Device.Charger(
                    tag, charger.setV(), charger.ohm(), charger.maxA(), charger.alternator(), charger.panels());
        } else if (device instanceof Device.PanelInput input) {
            return new Device.PanelInput(tag, input.highestV(), input.highestA(), input.drop());
        } else if (device instanceof Device.Consumer load) {
            return new Device.Consumer(
                    tag,
                    load.draw(),
                    load.drop(),
                    load.cranking(),
                    load.duty(),
                    load.idleW(),
                    load.highestV(),
                    load.balancer());
        } else if (device instanceof Device.Fuse fuse) {
            Terminal on = fuse.on();
            return new Device.Fuse(
                    tag,
                    fuse.ohm(),
                    fuse.family(),
                    fuse.ratingA(),
                    on == null ? null : new Terminal(names.get(on.device()), on.port()));
        } else if (device instanceof Device.Link link) {
            return new Device.Link(tag, link.ohm(), link.ratingA(), link.shunt());
        }
        return new Device.Bar(tag, device instanceof Device.Bar bar ? bar.ratingA() : null);
    }
}
