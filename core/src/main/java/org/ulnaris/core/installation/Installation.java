package org.ulnaris.core.installation;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.HouseRules;

/**
 * A job's system as it was entered: complete in itself, its references checked.
 *
 * @param system nominal voltage and rules
 * @param devices their tags differ
 * @param runs their tags differ; their terminals exist
 * @param cases what works together; at least one
 */
public record Installation(System system, List<Device> devices, List<Run> runs, List<OperatingCase> cases) {
    /**
     * What holds for all of it.
     *
     * @param nominalV nominal voltage, V
     * @param chargingV highest charging voltage, V
     * @param ruleSet ampacity method
     * @param house the house's choice where practice differs
     */
    public record System(double nominalV, double chargingV, RuleSet ruleSet, HouseRules house) {
        public System {
            Device.Charger.SET_V.check("nominalV", nominalV);
            Device.Charger.SET_V.check("chargingV", chargingV);
            Objects.requireNonNull(ruleSet, "ruleSet");
            Objects.requireNonNull(house, "house");
        }

        /** Under the usual rules. */
        public System(double nominalV, double chargingV, RuleSet ruleSet) {
            this(nominalV, chargingV, ruleSet, HouseRules.USUAL);
        }

        /** The same at other voltages, V. */
        System at(double otherNominalV, double otherChargingV) {
            return new System(otherNominalV, otherChargingV, ruleSet, house);
        }
    }

    public Installation {
        Objects.requireNonNull(system, "system");
        devices = List.copyOf(devices);
        runs = List.copyOf(runs);
        cases = List.copyOf(cases);
        Map<String, Device> byTag = new HashMap<>();
        for (Device device : devices) {
            if (byTag.put(device.tag(), device) != null) {
                throw new IllegalArgumentException("two devices are tagged '" + device.tag() + "'");
            }
        }
        for (Device device : devices) {
            if (device instanceof Device.Fuse fuse && fuse.on() != null) {
                checkTerminal(byTag, fuse.on());
            }
        }
        Set<String> tags = new HashSet<>();
        for (Run run : runs) {
            if (!tags.add(run.tag())) {
                throw new IllegalArgumentException("two cables are tagged '" + run.tag() + "'");
            }
            checkTerminal(byTag, run.from());
            checkTerminal(byTag, run.to());
        }
        if (cases.isEmpty()) {
            throw new IllegalArgumentException("at least one operating case is needed");
        }
    }

    private static void checkTerminal(Map<String, Device> byTag, Terminal terminal) {
        Device device = byTag.get(terminal.device());
        if (device == null || !device.terminals().contains(terminal)) {
            throw new IllegalArgumentException("there is no terminal '" + terminal + "'");
        }
    }
}
