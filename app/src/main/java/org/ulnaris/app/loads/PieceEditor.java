package org.ulnaris.app.loads;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.job.JobLimits;

/** Adds pieces of equipment, and changes a few of their fields where they are seen. */
@Component
public class PieceEditor {
    private final LoadsService loads;
    private final Words words;

    PieceEditor(LoadsService loads, Words words) {
        this.loads = loads;
        this.words = words;
    }

    /**
     * What came of it.
     *
     * @param id the piece; 0 where none was added
     * @param faults what of the typed can't be used, by field
     */
    public record Outcome(long id, Map<String, Fault> faults) {
        public boolean clean() {
            return faults.isEmpty();
        }
    }

    /** Text of some fields of a piece, as a form shows it. */
    public static Map<String, String> texts(EquipmentDetails piece, Job job, List<String> fields) {
        Map<String, String> texts = EquipmentReader.texts(piece, job.fmt());
        texts.keySet().retainAll(fields);
        return texts;
    }

    /** Keeps what was typed of {@code fields} when all of it can be used; what another has changed meanwhile stays, and both are told. */
    @Transactional
    public Outcome edit(long id, Job job, Map<String, String> typed, List<String> fields) {
        EquipmentDetails piece = loads.get(id).details();
        Merge merge = Merge.few(texts(piece, job, fields), typed);
        if (merge.conflict() != null) {
            return new Outcome(id, merge.conflict().told());
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        EquipmentDetails details = EquipmentReader.read(entries, piece);
        loads.checkMount(entries, job.id(), details);
        if (loads.taken(job.id(), details.tag(), id)) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (entries.clean() && !details.equals(piece)) {
            loads.change(id, details);
        }
        return new Outcome(id, entries.faults());
    }

    /** A new piece of {@code kind} from what was typed over the usual figures of its kind. */
    @Transactional
    public Outcome add(Job job, EquipmentKind kind, Map<String, String> typed) {
        Entries entries = new Entries(typed, job.details().units());
        EquipmentDetails details = EquipmentReader.read(entries, EquipmentReader.fresh(kind, job.details()));
        loads.checkMount(entries, job.id(), details);
        if (loads.taken(job.id(), details.tag(), -1)) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (LoadsService.refuses(job.details().kind(), kind)) {
            entries.fault("tag", Fault.Code.CONTRADICTS, words.of("equipment.no-hull-return"));
        }
        if (loads.details(job.id()).size() >= JobLimits.MOST_PIECES) {
            entries.fault("tag", Fault.Code.OUT_OF_RANGE, "0", Expected.of("pieces", JobLimits.MOST_PIECES));
        }
        return new Outcome(entries.clean() ? loads.add(job.id(), details) : 0, entries.faults());
    }
}
