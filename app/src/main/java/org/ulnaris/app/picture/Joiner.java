package org.ulnaris.app.picture;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CablePair;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.job.JobLimits;

/** Draws cables between terminals that were pressed. */
@Component
class Joiner {
    private final CableService cables;
    private final JobWiring wiring;
    private final Works works;

    Joiner(CableService cables, JobWiring wiring, Works works) {
        this.cables = cables;
        this.wiring = wiring;
        this.works = works;
    }

    /**
     * What came of it.
     *
     * @param tag the cable that was made; empty for none
     * @param faults what is wrong with what was typed
     */
    record Outcome(String tag, Map<String, Fault> faults) {}

    /** What a new cable between two terminals starts from: its tag, its pole, and the loads' current. */
    CableDetails fresh(Job job, String from, String to) {
        Map<String, String> typed = new HashMap<>(Map.of("from", from, "to", to, "current", ""));
        typed.put("tag", tag(job.id(), from, to));
        typed.put("polarity", polarity(job.id(), from, to).name());
        Entries entries = new Entries(typed, job.details().units());
        return CableReader.read(
                entries, typed, CableDetails.fresh(job.details(), cables.proposeTag(job.id())), wiring.of(job.id()));
    }

    /** Named like the piece that it feeds, with its pole behind it; C1, C2, … where that is taken. */
    private String tag(long jobId, String from, String to) {
        String sign = polarity(jobId, from, to) == Polarity.NEGATIVE ? "−" : "+";
        return List.of(to, from).stream()
                .flatMap(point -> Terminal.read(point).stream())
                .filter(terminal -> !terminal.isBar())
                .map(terminal -> terminal.device() + sign)
                .filter(tag -> tag.length() <= CableDetails.LONGEST_TAG && !cables.taken(jobId, tag, -1))
                .findFirst()
                .orElseGet(() -> cables.proposeTag(jobId));
    }

    private Polarity polarity(long jobId, String from, String to) {
        List<Terminal> ends = List.of(from, to).stream()
                .flatMap(point -> Terminal.read(point).stream())
                .toList();
        Optional<Nets> nets = nets(jobId);
        boolean back = ends.stream()
                .anyMatch(end -> end.port() == Port.MINUS
                        || nets.filter(known -> known.returns(end.node())).isPresent());
        return back ? Polarity.NEGATIVE : Polarity.POSITIVE;
    }

    private Optional<Nets> nets(long jobId) {
        return works.of(jobId).network().map(result -> new Nets(result.installation()));
    }

    /** The return of such a cable, where both its ends have a minus beside their plus. */
    Optional<CableDetails> back(Job job, CableDetails out) {
        Set<String> terminals = wiring.of(job.id());
        return new CablePair(out, "", terminals, nets(job.id()).orElse(null)).back();
    }

    Outcome join(Job job, Map<String, String> typed) {
        String from = typed.getOrDefault("from", "");
        String to = typed.getOrDefault("to", "");
        Set<String> terminals = wiring.of(job.id());
        Map<String, Fault> faults = new LinkedHashMap<>();
        for (String point : List.of(from, to)) {
            if (!terminals.contains(point)) {
                String field = point.equals(from) ? "from" : "to";
                faults.put(field, Fault.of(Fault.Code.CONTRADICTS, point, Expected.of("terminal-of-job")));
            }
        }
        if (!faults.isEmpty()) {
            return new Outcome("", faults);
        }
        Entries entries = new Entries(typed, job.details().units());
        CableDetails out = CableReader.read(entries, typed, fresh(job, from, to), terminals);
        if (!entries.present("length") || entries.blank("length")) {
            entries.fault("length", Fault.Code.EMPTY, Expected.of("one-way"));
        }
        if (cables.taken(job.id(), out.tag(), -1)) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        List<CableDetails> made = typed.containsKey("pair")
                ? back(job, out).map(back -> List.of(out, back)).orElse(List.of(out))
                : List.of(out);
        if (made.size() > 1 && cables.taken(job.id(), made.get(1).tag(), -1)) {
            entries.fault(
                    "tag",
                    Fault.Code.CONTRADICTS,
                    Expected.of("free-return", made.get(1).tag()));
        }
        if (cables.idsOf(job.id()).size() + made.size() > JobLimits.MOST_CABLES) {
            entries.fault("tag", Fault.Code.OUT_OF_RANGE, "0", Expected.of("cables", JobLimits.MOST_CABLES));
        }
        if (!entries.clean()) {
            return new Outcome("", entries.faults());
        }
        cables.createAll(job.id(), made);
        return new Outcome(out.tag(), Map.of());
    }
}
