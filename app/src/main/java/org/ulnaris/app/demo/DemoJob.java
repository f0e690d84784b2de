package org.ulnaris.app.demo;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.Side;

/** A made-up job, put together in short lines. */
final class DemoJob {
    private final Job job;
    private final Shop shop;
    private final Map<String, Long> equipment = new HashMap<>();

    /** Where it is written to. */
    record Shop(CableService cables, MatchService match, LoadsService loads) {}

    DemoJob(Job job, Shop shop) {
        this.job = job;
        this.shop = shop;
    }

    /** A piece of equipment; {@code fields} are "field=what a person would type". */
    void piece(EquipmentKind kind, String tag, String name, String... fields) {
        Map<String, String> typed = new HashMap<>(Map.of("tag", tag, "name", name));
        for (String field : fields) {
            int equals = field.indexOf('=');
            typed.put(field.substring(0, equals), field.substring(equals + 1));
        }
        equipment.put(tag, shop.loads().add(job.id(), kind, typed));
    }

    /** A case: "INV surge, LAMPS on". */
    void working(String name, double hours, String states) {
        Map<Long, State> working = new LinkedHashMap<>();
        for (String state : states.split(", ")) {
            String[] part = state.split(" ");
            Long id = equipment.get(part[0]);
            if (id == null) {
                throw new IllegalArgumentException("no equipment " + part[0]);
            }
            working.put(id, part[1].equals("surge") ? State.SURGE : State.ON);
        }
        shop.loads().changeCase(shop.loads().addCase(job.id(), name, hours), name, hours, working);
    }

    /** A cable whose current comes from the loads: "tag from to metres percent studA studB"; polarity by the tag's sign. */
    Cable cable(String line) {
        return cable(line, false);
    }

    /** The same where engine heat counts. */
    Cable hotCable(String line) {
        return cable(line, true);
    }

    /** The same in a size chosen by hand. */
    Cable cable(String line, String size) {
        Cable cable = cable(line, false);
        return shop.cables().change(cable.id(), cable.details().sized(size));
    }

    private Cable cable(String line, boolean engineSpace) {
        String[] part = line.split(" ");
        CableDetails fresh = CableDetails.fresh(job.details(), part[0]);
        CableDetails details = new CableDetails(
                part[0],
                part[1],
                part[2],
                part[0].endsWith("+") ? Polarity.POSITIVE : Polarity.NEGATIVE,
                1,
                Double.parseDouble(part[3]),
                Double.parseDouble(part[4]),
                105,
                fresh.ambientC(),
                null,
                engineSpace,
                2,
                fresh.series(),
                fresh.tinned(),
                150,
                0,
                null,
                null,
                0,
                null,
                null,
                true);
        Cable cable = shop.cables().create(job.id(), details);
        end(cable, Side.A, new EndDetails(part[5], null, null, null, null, null, null, null));
        end(cable, Side.B, new EndDetails(part[6], null, null, null, null, null, null, null));
        return cable;
    }

    void end(Cable cable, Side side, EndDetails end) {
        shop.match().change(cable.id(), side, end);
    }
}
