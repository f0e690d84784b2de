package org.ulnaris.app.fix;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.EquipmentReader;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.core.fix.Fix;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.protection.FuseFamily;

/** A job as it would be with a fix in it, in the words of a person: what is tried is what is kept when it is taken. */
final class FixedJob {
    /** From a source to a fuse that sits beside it. */
    private static final String STUB = "0.15 m";

    private final JobParts now;

    FixedJob(JobParts now) {
        this.now = now;
    }

    JobParts with(Fix fix) {
        if (fix instanceof Fix.TakeSize take) {
            String size = take.proposed() ? null : take.size().designation();
            return cables(cable -> cable.tag().equals(fix.subject()) ? cable.sized(size) : cable);
        }
        if (fix instanceof Fix.ChangeFuse change) {
            List<EquipmentDetails> changed = now.equipment().stream()
                    .map(piece -> piece.tag().equals(fix.subject())
                            ? fused(piece, piece.tag(), change.family(), change.ratingA())
                            : piece)
                    .toList();
            return new JobParts(now.job(), changed, now.cables(), now.ends(), now.cases(), now.shop(), now.records());
        }
        if (fix instanceof Fix.FreeEnd free) {
            return new JobParts(
                    now.job(), now.equipment(), now.cables(), freed(free), now.cases(), now.shop(), now.records());
        }
        return put((Fix.PutFuse) fix);
    }

    private JobParts cables(UnaryOperator<CableDetails> change) {
        return new JobParts(
                now.job(),
                now.equipment(),
                now.cables().stream().map(change).toList(),
                now.ends(),
                now.cases(),
                now.shop(),
                now.records());
    }

    private Map<String, Map<Side, JobParts.End>> freed(Fix.FreeEnd free) {
        Map<String, Map<Side, JobParts.End>> ends = new HashMap<>(now.ends());
        Map<Side, JobParts.End> own = new EnumMap<>(ends.getOrDefault(free.subject(), Map.of()));
        own.computeIfPresent(
                free.side(), (side, end) -> new JobParts.End(end.details().freed(), end.said()));
        ends.put(free.subject(), own);
        return ends;
    }

    private EquipmentDetails fused(EquipmentDetails piece, String tag, FuseFamily family, double ratingA) {
        Map<String, String> typed =
                Map.of("tag", tag, "family", family.name(), "rating", Figures.significant(ratingA, 6) + " A");
        return EquipmentReader.read(new Entries(typed, now.job().units()), piece);
    }

    /** A fuse at the near end of a cable; the cable begins behind it, and a short one like it leads there. */
    private JobParts put(Fix.PutFuse fix) {
        String tag = free();
        CableDetails cable = now.cables().stream()
                .filter(one -> one.tag().equals(fix.subject()))
                .findFirst()
                .orElseThrow();
        String source = fix.near() == Side.A ? cable.fromPoint() : cable.toPoint();
        EquipmentDetails fuse =
                fused(EquipmentReader.fresh(EquipmentKind.FUSE, now.job()), tag, fix.family(), fix.ratingA());
        CableDetails behind = led(cable, Map.of(fix.near() == Side.A ? "from" : "to", tag + ".out"), tag);
        CableDetails before = led(
                cable,
                Map.of(
                        "tag",
                        tag + "+",
                        "from",
                        source,
                        "to",
                        tag + ".in",
                        "length",
                        STUB,
                        "joints",
                        "0",
                        "clock",
                        "",
                        "slack",
                        ""),
                tag);
        List<EquipmentDetails> equipment = new ArrayList<>(now.equipment());
        equipment.add(fuse);
        List<CableDetails> cables = new ArrayList<>(now.cables().stream()
                .map(one -> one.equals(cable) ? behind : one)
                .toList());
        cables.add(before);
        Map<String, Map<Side, JobParts.End>> ends = new HashMap<>(now.ends());
        JobParts.End landed = ends.getOrDefault(cable.tag(), Map.of())
                .getOrDefault(fix.near(), new JobParts.End(EndDetails.FRESH, false));
        ends.put(before.tag(), Map.of(Side.A, landed));
        return new JobParts(now.job(), equipment, cables, ends, now.cases(), now.shop(), now.records());
    }

    /** The first of F1, F2, … that is free, and with it the cable before it. */
    private String free() {
        Set<String> used = new HashSet<>();
        now.cables().forEach(cable -> used.add(Tags.fold(cable.tag())));
        used.addAll(
                now.equipment().stream().map(piece -> Tags.fold(piece.tag())).collect(Collectors.toSet()));
        int n = 1;
        while (used.contains("F" + n) || used.contains("F" + n + "+")) {
            n++;
        }
        return "F" + n;
    }

    private CableDetails led(CableDetails cable, Map<String, String> typed, String fuse) {
        Set<String> terminals = new HashSet<>(List.of(fuse + ".in", fuse + ".out", cable.fromPoint(), cable.toPoint()));
        return CableReader.read(new Entries(typed, now.job().units()), typed, cable, terminals);
    }
}
