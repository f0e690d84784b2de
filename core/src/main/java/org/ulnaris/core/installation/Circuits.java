package org.ulnaris.core.installation;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Which circuit each run belongs to: runs that hang together through devices with two ways, between banks, bars and wherever more than
 * one run meets on a terminal. A circuit bears the name of its load or charger, else that of the bank or bar it comes from.
 */
public final class Circuits {
    private final Installation installation;
    private final Map<Terminal, Integer> meeting = new HashMap<>();
    private final Map<String, String> parent = new HashMap<>();

    private Circuits(Installation installation) {
        this.installation = installation;
    }

    /** Circuit of each run, by the run's tag. */
    public static Map<String, String> of(Installation installation) {
        return new Circuits(installation).name();
    }

    private Map<String, String> name() {
        for (Run run : installation.runs()) {
            meeting.merge(run.from(), 1, Integer::sum);
            meeting.merge(run.to(), 1, Integer::sum);
        }
        for (Device device : installation.devices()) {
            if (!junction(device)) {
                List<Run> joined = installation.runs().stream()
                        .filter(run -> touches(run, device.tag()))
                        .toList();
                joined.forEach(run -> unite(run.tag(), joined.get(0).tag()));
            }
        }
        Map<String, String> names = new HashMap<>();
        for (Run run : installation.runs()) {
            names.merge(root(run.tag()), nameOf(run), Circuits::better);
        }
        Map<String, String> circuits = new LinkedHashMap<>();
        for (Run run : installation.runs()) {
            circuits.put(run.tag(), bare(Objects.requireNonNull(names.get(root(run.tag())))));
        }
        return circuits;
    }

    private boolean junction(Device device) {
        return device instanceof Device.Bank
                || device instanceof Device.Bar
                || device.terminals().stream().anyMatch(terminal -> meeting.getOrDefault(terminal, 0) > 1);
    }

    private static boolean touches(Run run, String tag) {
        return run.from().device().equals(tag) || run.to().device().equals(tag);
    }

    private String root(String tag) {
        String at = tag;
        while (!parent.getOrDefault(at, at).equals(at)) {
            at = parent.getOrDefault(at, at);
        }
        return at;
    }

    private void unite(String a, String b) {
        parent.put(root(a), root(b));
    }

    /** Name that a run would give its circuit, a digit before it that tells how good a name it is. */
    private String nameOf(Run run) {
        String name = "9" + run.tag();
        for (Device device : installation.devices()) {
            if (touches(run, device.tag())) {
                String own = rank(device) + device.tag();
                name = better(name, own);
            }
        }
        return name;
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
