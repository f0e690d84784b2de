package org.ulnaris.app.plan;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;

/** Changes a few fields of a cable where they are seen: in its line of the list, beside the picture. */
@Component
public class CableEditor {
    private final CableService cables;
    private final JobWiring wiring;

    CableEditor(CableService cables, JobWiring wiring) {
        this.cables = cables;
        this.wiring = wiring;
    }

    /**
     * What came of a change.
     *
     * @param cable the cable as it is now
     * @param faults what of the typed can't be used, by field; the rest is kept
     */
    public record Outcome(Cable cable, Map<String, Fault> faults) {
        public boolean clean() {
            return faults.isEmpty();
        }
    }

    /** Text of some fields of a cable, as a form shows it. */
    public static Map<String, String> texts(Cable cable, Job job, List<String> fields) {
        Map<String, String> texts = CableReader.texts(cable.details(), job.fmt());
        texts.keySet().retainAll(fields);
        return texts;
    }

    /** Keeps what was typed of {@code fields}; what another has changed meanwhile stays, and both are told. */
    @Transactional
    public Outcome edit(Cable cable, Job job, Map<String, String> typed, List<String> fields) {
        Merge merge = Merge.few(texts(cable, job, fields), typed);
        if (merge.conflict() != null) {
            return new Outcome(cable, merge.conflict().told());
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        CableDetails details = CableReader.read(entries, merge.typed(), cable.details(), wiring.of(job.id()));
        if (!details.tag().equals(cable.details().tag()) && cables.taken(job.id(), details.tag(), cable.id())) {
            entries.fault("tag", Fault.Code.TAKEN);
            details = details.tagged(cable.details().tag());
        }
        boolean same = details.equals(cable.details());
        return new Outcome(same ? cable : cables.change(cable.id(), details), entries.faults());
    }
}
