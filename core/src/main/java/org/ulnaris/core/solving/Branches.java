package org.ulnaris.core.solving;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.NodeOrder;

/** The branches of an installation, made once for all its cases: one text a node, and one order of elimination. */
final class Branches {
    private final Map<String, String> nodes = new HashMap<>();
    private final Map<String, Branch> runs = new HashMap<>();
    private final Map<String, Branch> forth = new HashMap<>();
    private final Map<String, Branch> back = new HashMap<>();
    private final NodeOrder order;

    Branches(Installation installation) {
        for (Device device : installation.devices()) {
            List<Port> ports = device.ports();
            if (ports.size() > 1) {
                Branch branch = device.branch(ports.get(0), ports.get(1));
                String from = one(branch.from());
                String to = one(branch.to());
                forth.put(device.tag(), new Branch(device.tag(), from, to));
                back.put(device.tag(), new Branch(device.tag(), to, from));
            }
        }
        for (Run run : installation.runs()) {
            String from = one(run.from().node());
            String to = one(run.to().node());
            if (!from.equals(to)) {
                runs.put(run.tag(), new Branch(run.tag(), from, to));
            }
        }
        this.order = NodeOrder.of(
                Stream.concat(forth.values().stream(), runs.values().stream()).toList());
    }

    private String one(String node) {
        return nodes.computeIfAbsent(node, same -> same);
    }

    NodeOrder order() {
        return order;
    }

    /** Whether {@code run} joins two nodes. */
    boolean joins(Run run) {
        return runs.containsKey(run.tag());
    }

    Branch of(Run run) {
        return Objects.requireNonNull(runs.get(run.tag()), run.tag());
    }

    /** Between the two terminals of {@code device}, entered at {@code from}. */
    Branch of(Device device, Port from) {
        Map<String, Branch> side = device.ports().get(0) == from ? forth : back;
        return Objects.requireNonNull(side.get(device.tag()), device.tag());
    }
}
