package org.ulnaris.app.loads;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.JobCopied;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.KindGuard;
import org.ulnaris.app.job.Names;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.job.JobLimits;

/** Equipment and cases of a job. */
@Service
@Transactional
public class LoadsService implements JobWiring, KindGuard, Names, Undoes {
    static final int LONGEST_CASE = 60;

    private static final int MOST_NAMED = 50;
    private static final String KIND = "equipment";

    private static final double HOURS = 1;

    private final EquipmentRepository equipment;
    private final LoadCaseRepository cases;
    private final JobService jobs;
    private final Tags tags;
    private final Words words;

    private final Clock clock;

    LoadsService(
            EquipmentRepository equipment,
            LoadCaseRepository cases,
            JobService jobs,
            Tags tags,
            Words words,
            Clock clock) {
        this.words = words;
        this.tags = tags;
        this.clock = clock;
        this.equipment = equipment;
        this.cases = cases;
        this.jobs = jobs;
    }

    @Transactional(readOnly = true)
    List<Equipment> equipment(long jobId) {
        return equipment.findByJobIdAndDeletedAtIsNullOrderById(jobId);
    }

    @Transactional(readOnly = true)
    List<LoadCase> cases(long jobId) {
        return cases.findByJobIdAndDeletedAtIsNullOrderById(jobId);
    }

    /** What the equipment of a job is, in its order. */
    @Transactional(readOnly = true)
    public List<EquipmentDetails> details(long jobId) {
        return equipment(jobId).stream().map(Equipment::details).toList();
    }

    @Transactional(readOnly = true)
    Equipment get(long id) {
        return equipment
                .findById(id)
                .filter(item -> !item.deleted())
                .orElseThrow(() -> new NotFoundException("equipment " + id));
    }

    @Transactional(readOnly = true)
    LoadCase loadCase(long id) {
        return cases.findById(id)
                .filter(loadCase -> !loadCase.deleted())
                .orElseThrow(() -> new NotFoundException("case " + id));
    }

    /**
     * The job of the piece {@code id}.
     *
     * @throws NotFoundException when there is none, or it is deleted
     */
    @Transactional(readOnly = true)
    public long jobOf(long id) {
        return get(id).jobId();
    }

    /** Ids of the equipment by tag. */
    @Transactional(readOnly = true)
    public Map<String, Long> idsByTag(long jobId) {
        return equipment(jobId).stream()
                .collect(Collectors.toMap(item -> item.details().tag(), Equipment::id));
    }

    /** The piece tagged {@code tag}. */
    @Transactional(readOnly = true)
    public Optional<Long> idOf(long jobId, String tag) {
        return Optional.ofNullable(idsByTag(jobId).get(tag));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Name> names(long jobId) {
        return equipment(jobId).stream()
                .map(item -> new Name(KIND, item.id(), item.details().tag()))
                .toList();
    }

    @Override
    public String namedKind() {
        return KIND;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Named> named(String part) {
        return equipment.named(part, Limit.of(MOST_NAMED)).stream()
                .map(one -> new Named(one.jobId(), one.details().tag()))
                .toList();
    }

    /** Whether anything else of the job bears the tag. */
    @Transactional(readOnly = true)
    public boolean taken(long jobId, String tag, long exceptId) {
        return tags.taken(jobId, tag, KIND, exceptId);
    }

    /** A new piece; its id. */
    public long add(long jobId, EquipmentDetails details) {
        long id = equipment.saveAndFlush(new Equipment(jobId, details)).id();
        return id;
    }

    /**
     * A new piece from text as a person would type it, over the usual figures of its kind; its id.
     *
     * @throws IllegalArgumentException when the text can't be read
     */
    public long add(long jobId, EquipmentKind kind, Map<String, String> typed) {
        JobDetails job = jobs.get(jobId).details();
        Entries entries = new Entries(typed, job.units());
        EquipmentDetails details = EquipmentReader.read(entries, EquipmentReader.fresh(kind, job));
        if (!entries.clean()) {
            throw new IllegalArgumentException("faulty equipment: " + entries.faults());
        }
        return add(jobId, details);
    }

    public void change(long id, EquipmentDetails details) {
        Equipment item = get(id);
        item.change(details);
        equipment.saveAndFlush(item);
    }

    /** Changes a piece as a part of a step that can be taken back. */
    public Change changed(long id, EquipmentDetails details) {
        String before = LastSteps.json(get(id).details());
        change(id, details);
        return new Change(KIND, Long.toString(id), before, LastSteps.json(details));
    }

    /** A new piece as a part of a step that can be taken back. */
    public Change made(long jobId, EquipmentDetails details) {
        return Change.made(KIND, Long.toString(add(jobId, details)), details);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public @Nullable String now(String key) {
        return equipment
                .findById(Long.valueOf(key))
                .filter(one -> !one.deleted())
                .map(one -> LastSteps.json(one.details()))
                .orElse(null);
    }

    /** One that was new is deleted; it comes back where its tag is still free. */
    @Override
    public boolean set(String key, @Nullable String thing) {
        Equipment one = equipment.findById(Long.valueOf(key)).orElse(null);
        if (one == null) {
            return false;
        }
        if (thing == null) {
            one.delete(clock.instant());
        } else {
            EquipmentDetails details = LastSteps.read(thing, EquipmentDetails.class);
            if (one.deleted() && !tags.free(one.jobId(), details.tag()).equals(details.tag())) {
                return false;
            }
            one.change(details);
            one.delete(null);
        }
        equipment.saveAndFlush(one);
        return true;
    }

    /** Changes all equipment of a job at once, in its order. */
    public void changeAll(long jobId, List<EquipmentDetails> all) {
        List<Equipment> items = equipment(jobId);
        for (int i = 0; i < items.size(); i++) {
            items.get(i).change(all.get(i));
            equipment.saveAndFlush(items.get(i));
        }
    }

    /** Deletes a piece; the id of its job. */
    public long delete(long id) {
        Equipment item = get(id);
        item.delete(clock.instant());
        equipment.saveAndFlush(item);
        return item.jobId();
    }

    /** Undo of {@link #delete}; where the tag was given away meanwhile, under a free one. */
    Restored restore(long id) {
        Equipment item = equipment.findById(id).orElseThrow(() -> new NotFoundException("equipment " + id));
        String tag = item.details().tag();
        if (item.deleted()) {
            item.change(item.details().tagged(tags.free(item.jobId(), tag)));
            item.delete(null);
            equipment.saveAndFlush(item);
        }
        return new Restored(item, !item.details().tag().equals(tag));
    }

    /** A piece that was brought back, and whether it got another tag. */
    record Restored(Equipment piece, boolean renamed) {}

    /** A new case in which nothing works yet; its id. */
    public long addCase(long jobId, String name, double hoursPerDay) {
        return cases.saveAndFlush(new LoadCase(jobId, name, hoursPerDay)).id();
    }

    /** Says what works in a case, by the equipment's id. */
    public void changeCase(long id, String name, double hoursPerDay, Map<Long, State> states) {
        LoadCase loadCase = loadCase(id);
        Set<Long> known =
                equipment(loadCase.jobId()).stream().map(Equipment::id).collect(Collectors.toSet());
        Map<Long, State> kept = new HashMap<>(states);
        kept.keySet().retainAll(known);
        loadCase.change(name, hoursPerDay, kept);
        cases.saveAndFlush(loadCase);
    }

    /** Says whether a piece works in a case of its job, counted from 1; in a case of its own while there is none. */
    public void switchTo(long pieceId, int number, State state) {
        long jobId = get(pieceId).jobId();
        List<LoadCase> all = cases(jobId);
        if (number < 1 || number > Math.max(1, all.size())) {
            throw new NotFoundException("case " + number + " of job " + jobId);
        }
        if (all.isEmpty()) {
            addCase(jobId, words.of("case.at-work"), HOURS);
            all = cases(jobId);
        }
        LoadCase one = all.get(number - 1);
        Map<Long, State> states = new HashMap<>(one.states());
        states.put(pieceId, state);
        changeCase(one.id(), one.name(), one.hoursPerDay(), states);
    }

    /** Whether another case of the job bears the name: findings tell cases by their names. */
    @Transactional(readOnly = true)
    boolean caseTaken(long jobId, String name, long exceptId) {
        return cases(jobId).stream()
                .anyMatch(one -> one.id() != exceptId && Tags.fold(one.name()).equals(Tags.fold(name)));
    }

    /** Deletes a case; the id of its job. */
    long deleteCase(long id) {
        LoadCase loadCase = loadCase(id);
        loadCase.delete(clock.instant());
        cases.saveAndFlush(loadCase);
        return loadCase.jobId();
    }

    /** Undo of {@link #deleteCase}; where the name was given away meanwhile, under a free one. */
    long restoreCase(long id) {
        LoadCase loadCase = cases.findById(id).orElseThrow(() -> new NotFoundException("case " + id));
        String name = loadCase.name();
        for (int n = 2; loadCase.deleted() && caseTaken(loadCase.jobId(), name, id); n++) {
            String end = " (" + n + ")";
            name = loadCase.name().substring(0, Math.min(loadCase.name().length(), LONGEST_CASE - end.length())) + end;
        }
        loadCase.change(name, loadCase.hoursPerDay(), loadCase.states());
        loadCase.delete(null);
        cases.saveAndFlush(loadCase);
        return loadCase.jobId();
    }

    @Override
    @Transactional(readOnly = true)
    public Set<String> of(long jobId) {
        List<Equipment> pieces = equipment(jobId);
        if (pieces.isEmpty()) {
            return Set.of();
        }
        JobDetails job = jobs.get(jobId).details();
        Set<String> names = new LinkedHashSet<>();
        for (Equipment item : pieces) {
            Device device = DeviceMaker.device(item.details(), job);
            device.terminals().forEach(terminal -> names.add(terminal.toString()));
        }
        return names;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<String, TerminalSpec> specs(long jobId) {
        List<Equipment> pieces = equipment(jobId);
        if (pieces.isEmpty()) {
            return Map.of();
        }
        JobDetails job = jobs.get(jobId).details();
        Map<String, TerminalSpec> specs = new HashMap<>();
        for (Equipment item : pieces) {
            TerminalSpec spec = item.details().terminal();
            if (spec != null) {
                Device device = DeviceMaker.device(item.details(), job);
                device.terminals().forEach(terminal -> specs.put(terminal.toString(), spec));
            }
        }
        return specs;
    }

    /**
     * A case by the tags of its equipment, as files hold it.
     *
     * @param states what works; the rest is off
     */
    public record CaseFile(String name, double hoursPerDay, Map<String, State> states) {
        /** As the core knows it. */
        public OperatingCase model() {
            return new OperatingCase(name, states, hoursPerDay);
        }
    }

    @Transactional(readOnly = true)
    public List<CaseFile> caseFiles(long jobId) {
        List<Equipment> items = equipment(jobId);
        return cases(jobId).stream().map(one -> file(one, items)).toList();
    }

    /** Equipment and cases of a file into a fresh job; states of unknown tags are left out. */
    public void restore(long jobId, List<EquipmentDetails> all, List<CaseFile> files) {
        Map<String, Long> ids = new HashMap<>();
        for (EquipmentDetails details : all) {
            ids.put(
                    details.tag(),
                    equipment.saveAndFlush(new Equipment(jobId, details)).id());
        }
        for (CaseFile file : files) {
            LoadCase loadCase = new LoadCase(jobId, file.name(), file.hoursPerDay());
            Map<Long, State> states = new HashMap<>();
            file.states().forEach((tag, state) -> {
                Long id = ids.get(tag);
                if (id != null) {
                    states.put(id, state);
                }
            });
            loadCase.change(file.name(), file.hoursPerDay(), states);
            cases.saveAndFlush(loadCase);
        }
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> refused(long jobId, JobKind kind) {
        return equipment(jobId).stream()
                .map(Equipment::details)
                .filter(details -> refuses(kind, details.kind()))
                .map(EquipmentDetails::tag)
                .findFirst();
    }

    /** Whether a job of {@code kind} refuses a piece of {@code equipment}. */
    static boolean refuses(JobKind kind, EquipmentKind equipment) {
        return equipment == EquipmentKind.CHASSIS && JobLimits.refusesChassis(kind.place());
    }

    /** A fuse sits on something that is there, and not on itself. */
    @Transactional(readOnly = true)
    void checkMount(Entries entries, long jobId, EquipmentDetails details) {
        details.mount()
                .filter(on -> on.device().equals(details.tag()) || !of(jobId).contains(on.toString()))
                .ifPresent(on -> entries.fault("on", Fault.Code.CONTRADICTS, Expected.of("a-mount")));
    }

    /** What a piece from a file lacks, in words; empty when it can be worked with. */
    public static List<String> gaps(EquipmentDetails details, JobDetails job, Words words) {
        List<String> gaps = new ArrayList<>();
        try {
            DeviceMaker.device(details, job);
        } catch (NullPointerException | IllegalArgumentException e) {
            gaps.add(words.of("job-file.piece.figure", details.tag(), String.valueOf(e.getMessage())));
        }
        if (refuses(job.kind(), details.kind())) {
            gaps.add(words.of("job-file.piece.hull", details.tag()));
        }
        TerminalSpec terminal = details.terminal();
        if (terminal != null && Studs.named(terminal.stud()).isEmpty()) {
            gaps.add(words.of("job-file.piece.stud", details.tag(), terminal.stud()));
        }
        if (terminal != null
                && TorqueSpec.contradicted(terminal.torqueNm(), terminal.torqueMinNm(), terminal.torqueMaxNm())
                        .isPresent()) {
            gaps.add(words.of("job-file.piece.torque", details.tag()));
        }
        return gaps;
    }

    /** The case with its states in the order of the equipment, so that a file is written the same way each time. */
    private static CaseFile file(LoadCase loadCase, List<Equipment> items) {
        Map<String, State> states = new LinkedHashMap<>();
        for (Equipment item : items) {
            State state = loadCase.states().get(item.id());
            if (state != null) {
                states.put(item.details().tag(), state);
            }
        }
        return new CaseFile(loadCase.name(), loadCase.hoursPerDay(), states);
    }

    /** Copies equipment and cases with the job; the cables come by themselves. */
    @EventListener
    void copyLoads(JobCopied copied) {
        Map<Long, Long> ids = new HashMap<>();
        for (Equipment item : equipment(copied.fromId())) {
            ids.put(
                    item.id(),
                    equipment
                            .saveAndFlush(new Equipment(copied.toId(), item.details()))
                            .id());
        }
        for (LoadCase original : new ArrayList<>(cases(copied.fromId()))) {
            LoadCase copy = new LoadCase(copied.toId(), original.name(), original.hoursPerDay());
            Map<Long, State> states = new HashMap<>();
            original.states().forEach((id, state) -> {
                Long now = ids.get(id);
                if (now != null) {
                    states.put(now, state);
                }
            });
            copy.change(original.name(), original.hoursPerDay(), states);
            cases.saveAndFlush(copy);
        }
    }
}
