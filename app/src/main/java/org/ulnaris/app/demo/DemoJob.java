package org.ulnaris.app.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.ContactChoice;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.Side;

/** A made-up job, put together in short lines. */
final class DemoJob {
    private final Job job;
    private final Shop shop;
    private final Map<String, Long> equipment = new HashMap<>();
    private final List<CableDetails> details = new ArrayList<>();
    private final Map<String, String[]> studs = new HashMap<>();
    private final Map<String, String> ways = new HashMap<>();

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
    void cable(String line) {
        add(line, false, null);
    }

    /** The same where engine heat counts. */
    void hotCable(String line) {
        add(line, true, null);
    }

    /** The same in a size chosen by hand. */
    void cable(String line, String size) {
        add(line, false, size);
    }

    /** A cable in a size chosen by hand that carries {@code currentA} only when something is wrong. */
    void bond(String line, String size, double currentA) {
        add(line, false, size);
        int last = details.size() - 1;
        details.set(last, details.get(last).typed(currentA));
    }

    /** The way of a cable that follows, leg by leg; it has to add up to the cable's length. */
    void way(String tag, String legs) {
        ways.put(tag, legs);
    }

    private void add(String line, boolean engineSpace, @Nullable String size) {
        String[] part = line.split(" ");
        CableDetails fresh = CableDetails.fresh(job.details(), part[0]);
        details.add(Records.with(
                        fresh,
                        Map.of(
                                "fromPoint",
                                part[1],
                                "toPoint",
                                part[2],
                                "polarity",
                                part[0].endsWith("+") ? Polarity.POSITIVE : Polarity.NEGATIVE,
                                "currentA",
                                1.0,
                                "dropPercent",
                                Double.parseDouble(part[4]),
                                "engineSpace",
                                engineSpace))
                .along(Double.parseDouble(part[3]), ways.get(part[0]))
                .sized(size)
                .byLoads());
        studs.put(part[0], new String[] {part[5], part[6]});
    }

    /** Makes all cables at once, so that the job is worked out once; by their tags. */
    Map<String, Cable> finish() {
        Map<String, Cable> made = new LinkedHashMap<>();
        for (Cable cable : shop.cables().createAll(job.id(), details)) {
            String tag = cable.details().tag();
            made.put(tag, cable);
            String[] landed = Objects.requireNonNull(studs.get(tag));
            end(cable, Side.A, EndDetails.on(landed[0]));
            end(cable, Side.B, EndDetails.on(landed[1]));
        }
        return made;
    }

    /** Ends a cable with a contact in place of a tube lug. */
    void contact(Cable cable, Side side, Family family) {
        ContactChoice choice = new ContactChoice(family, null, JoinMethod.CRIMP, null, null);
        EndDetails end = shop.match().end(cable, side).details();
        end(cable, side, end.with(choice));
    }

    void end(Cable cable, Side side, EndDetails end) {
        shop.match().change(cable.id(), side, end);
    }
}
