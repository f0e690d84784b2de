package org.ulnaris.app.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentReader;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakingFile;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.EndReader;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.rules.RulesReader;
import org.ulnaris.app.shell.CleanText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.job.JobLimits;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a job file holds that a person could not have typed: it is read by the rules of the forms, field by field. */
final class JobFileCheck {
    /** No figure of a cable needs more; beyond it sums and squares are no numbers any more. */
    private static final double MOST = 1e15;

    private static final Fmt FMT = new Fmt(Units.METRIC);
    private static final Range USED_MM = Range.from(0, 1e6);
    private static final Range REDONE = Range.from(0, 10_000);
    private static final Instant FIRST = Instant.EPOCH;
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

    private final JobFile file;
    private final Words words;
    private final List<String> faults = new ArrayList<>();

    JobFileCheck(JobFile file, Words words) {
        this.file = file;
        this.words = words;
    }

    /** Figures and texts that can't be kept at all, with pointers to them; a zero with a sign loses it. */
    static List<String> unclean(JsonNode tree, Words words) {
        List<String> faults = new ArrayList<>();
        unclean(tree, "", words, faults);
        return faults;
    }

    private static void unclean(JsonNode node, String pointer, Words words, List<String> faults) {
        if (node instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                JsonNode member = object.get(name);
                if (member.isFloatingPointNumber() && JsonEntries.finite(member) == 0) {
                    object.put(name, 0.0);
                }
                unclean(member, pointer + "/" + name, words, faults);
            }
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                unclean(node.get(i), pointer + "/" + i, words, faults);
            }
        } else if (node.isString()) {
            CleanText.unclean(node.stringValue())
                    .ifPresent(code -> faults.add(pointer + ": " + words.of("job-file.unprintable", code)));
        } else if (node.isNumber() && !(Math.abs(JsonEntries.finite(node)) <= MOST)) {
            faults.add(pointer + ": " + words.of("job-file.too-large"));
        }
    }

    /** All faults, each with the tag of what it is about. */
    List<String> faults() {
        JobDetails job = file.job();
        said(words.of("job-file.job"), read(JobService.texts(job), entries -> JobService.read(entries, job)));
        said(
                words.of("job-file.rules"),
                read(RulesReader.texts(job.rules()), entries -> RulesReader.read(entries, job.rules())));
        Set<String> tags = new HashSet<>();
        for (EquipmentDetails piece : file.equipment()) {
            once(tags, piece.tag(), "tag");
            piece(piece);
            LoadsService.gaps(piece, job, words).forEach(faults::add);
        }
        Set<String> names = new HashSet<>();
        for (LoadsService.CaseFile one : file.cases()) {
            once(names, one.name(), "case");
            if (one.name().isBlank() || !OperatingCase.HOURS.contains(one.hoursPerDay())) {
                faults.add(words.of("job-file.case", one.name()));
            }
        }
        if (file.equipment().size() > JobLimits.MOST_PIECES || file.cases().size() > JobLimits.MOST_CASES) {
            faults.add(words.of("job-file.most", JobLimits.MOST_PIECES, JobLimits.MOST_CASES));
        }
        for (JobFile.CableFile entry : file.cables()) {
            once(tags, entry.cable().tag(), "tag");
            cable(entry.cable());
            for (Map.Entry<Side, EndDetails> end : entry.ends().entrySet()) {
                end(words.of("job-file.end", entry.cable().tag(), end.getKey()), end.getValue());
            }
            making(entry.cable().tag(), entry.making());
        }
        return faults;
    }

    private void once(Set<String> all, String name, String what) {
        if (!all.add(Tags.fold(name))) {
            faults.add(words.of("job-file.twice." + what, name));
        }
    }

    /** What the form of something says of its own texts. */
    private static Entries read(Map<String, String> texts, java.util.function.Consumer<Entries> reader) {
        Entries entries = new Entries(texts, Units.METRIC);
        reader.accept(entries);
        return entries;
    }

    private void said(String subject, Entries entries) {
        entries.faults()
                .forEach((field, fault) -> faults.add(
                        subject + ", " + words.field(field) + " " + fault.typed() + ": " + words.fault(fault)));
    }

    /** Ratings that no family has and figures below a range were once taken: they are told as findings and come back in. */
    private void piece(EquipmentDetails piece) {
        Map<String, String> texts = new HashMap<>(EquipmentReader.texts(piece, FMT));
        Double ratingA = piece.ratingA();
        Double ohm = piece.ohm();
        if (ratingA != null && Device.Fuse.RATING_A.contains(ratingA)) {
            texts.remove("rating");
        }
        if (ohm != null && ohm >= 0 && ohm <= Device.Link.OHM.upTo()) {
            texts.remove("ohm");
        }
        said(piece.tag(), read(texts, entries -> EquipmentReader.read(entries, piece)));
    }

    /** A current by the loads is not typed; it may be that of a cable that no load reaches. */
    private void cable(CableDetails cable) {
        Map<String, String> texts = new HashMap<>(CableReader.texts(cable, FMT));
        if (cable.currentFromLoads()) {
            texts.put("current", FMT.entry(Math.max(1, cable.currentA()), Unit.AMPERE));
        }
        String size = cable.chosenSize();
        if (size != null && ConductorSizes.designated(size).isEmpty()) {
            faults.add(words.of("job-file.size", cable.tag(), size));
            texts.remove("size");
        }
        said(cable.tag(), read(texts, entries -> CableReader.read(entries, texts, cable, Set.of())));
    }

    /** A contact of another shop is asked for by name and need not be known here. */
    private void end(String subject, EndDetails end) {
        Map<String, String> texts = new HashMap<>(EndReader.texts(end, FMT));
        said(
                subject,
                read(
                        texts,
                        entries -> EndReader.read(
                                entries,
                                end,
                                new EndReader.House(
                                        List.of(), file.job().rules().practices()))));
    }

    private void making(String tag, MakingFile making) {
        Stream.concat(making.done().stream(), making.readings().stream().map(MakingFile.ReadingFile::step))
                .filter(step -> BuildStep.keyed(step).isEmpty())
                .forEach(step -> faults.add(words.of("job-file.step", tag, step)));
        if (!USED_MM.contains(making.usedMm())
                || !REDONE.contains(making.redoneA())
                || !REDONE.contains(making.redoneB())) {
            faults.add(words.of("job-file.used", tag));
        }
        for (MakingFile.ReadingFile reading : making.readings()) {
            if (reading.takenAt().isBefore(FIRST) || reading.takenAt().isAfter(LAST)) {
                faults.add(words.of("job-file.age", tag));
            }
        }
    }
}
