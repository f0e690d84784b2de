package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jgrapht.alg.util.UnionFind;

/**
 * Which circuit each run belongs to: runs that hang together through devices with two ways, between banks, bars and wherever more than
 * one run meets on a terminal. A circuit bears the name of its load or charger, else that of the bank or bar it comes from.
 */
public final class Circuits {
    private final Installation installation;
    private final Map<Terminal, Integer> meeting = new HashMap<>();
    private final Map<String, List<Run>> at = new HashMap<>();
    private final Map<String, Device> devices = new HashMap<>();
    private final UnionFind<String> joined = new UnionFind<>(Set.of());

    private Circuits(Installation installation) {
        this.installation = installation;
        for (Run run : installation.runs()) {
            joined.addElement(run.tag());
            for (Terminal end : List.of(run.from(), run.to())) {
                meeting.merge(end, 1, Integer::sum);
                at.computeIfAbsent(end.device(), none -> new ArrayList<>()).add(run);
            }
        }
        installation.devices().forEach(device -> devices.put(device.tag(), device));
    }

    /** Circuit of each run, by the run's tag. */
    public static Map<String, String> of(Installation installation) {
        return new Circuits(installation).name();
    }

    private Map<String, String> name() {
        for (Device device : installation.devices()) {
            if (!junction(device)) {
                List<Run> there = at.getOrDefault(device.tag(), List.of());
                there.forEach(run -> joined.union(run.tag(), there.get(0).tag()));
            }
        }
        Map<String, String> names = new HashMap<>();
        for (Run run : installation.runs()) {
            names.merge(joined.find(run.tag()), nameOf(run), Circuits::better);
        }
        Map<String, String> circuits = new LinkedHashMap<>();
        for (Run run : installation.runs()) {
            circuits.put(run.tag(), bare(Objects.requireNonNull(names.get(joined.find(run.tag())))));
        }
        return circuits;
    }

    private boolean junction(Device device) {
        return device instanceof Device.Bank
                || device instanceof Device.Bar
                || device.terminals().stream().anyMatch(terminal -> meeting.getOrDefault(terminal, 0) > 1);
    }

    /** Name that a run would give its circuit, a digit before it that tells how good a name it is. */
    private String nameOf(Run run) {
        return Stream.of(run.from(), run.to())
                .map(end -> devices.get(end.device()))
                .filter(Objects::nonNull)
                .map(device -> rank(device) + device.tag())
                .reduce("9" + run.tag(), Circuits::better);
    }

    private static int rank(Device device) {
        if (device instanceof Device.Consumer) {
            return 0;
        }
        if (device.isAppliance()) {
            return 1;
        }
        return device instanceof Device.Bank ? 2 : device instanceof Device.Bar ? 3 : 4;
    }

    private static String better(String a, String b) {
        return a.compareTo(b) <= 0 ? a : b;
    }

    private static String bare(String name) {
        return name.substring(1);
    }
}
