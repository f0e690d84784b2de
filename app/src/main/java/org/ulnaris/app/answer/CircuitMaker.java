package org.ulnaris.app.answer;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.EquipmentReader;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.ask.LoadAsked;
import org.ulnaris.core.ask.LoadWord;
import org.ulnaris.core.ask.Meaning;
import org.ulnaris.core.ask.Said;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.protection.FuseCheck;

/**
 * The job that a person would have typed into the forms for one line: battery, fuse at its post, the cable out, the cable back, the load.
 * What the line does not say is what a new piece or a new cable starts from.
 */
final class CircuitMaker {
    /** The cable that the line asks for. */
    static final String OUT = "PLUS";

    static final String BACK = "MINUS";
    static final String LOAD = "LOAD";
    static final double USUAL_V = 12;
    /** From the battery's post to a fuse that sits on it, m. */
    private static final double POST_M = 0.17;

    private static final String POST = "POST";
    private static final String BANK = "BANK";
    static final String FUSE = "F1";

    private final Line line;
    private final Said said;
    private final JobDetails job;
    private final Shop shop;
    private final Words words;
    private final double allowedPercent;
    private final @Nullable ConductorSize tried;

    /** With the drop that the line says, else the one that its kind of load usually stands. */
    CircuitMaker(Line line, JobRules rules, Shop shop, Words words) {
        this(line, rules, shop, words, Wish.NONE);
    }

    /**
     * What is tried where the line says nothing.
     *
     * @param dropPercent what the loop may lose, %; 0 for what is usual
     * @param size of the cable out and back; null for the proposal
     */
    record Wish(double dropPercent, @Nullable ConductorSize size) {
        static final Wish NONE = new Wish(0, null);
    }

    CircuitMaker(Line line, JobRules rules, Shop shop, Words words, Wish wish) {
        this.words = words;
        this.line = line;
        this.said = line.said();
        this.shop = shop;
        String name = line.text().substring(0, Math.min(line.text().length(), JobDetails.LONGEST_NAME));
        this.job = JobService.read(
                entries(Map.of(
                        "name",
                        name.isBlank() ? words.of("answer.job") : name,
                        "voltage",
                        nominalV() + " V",
                        "charging",
                        "",
                        "units",
                        said.inches() ? Units.US.name() : Units.METRIC.name(),
                        "ruleSet",
                        "")),
                JobDetails.FRESH.ruled(rules));
        double usual = wish.dropPercent() > 0 ? wish.dropPercent() : usualPercent();
        this.allowedPercent = said.dropPercent(nominalV()).orElse(usual);
        this.tried = wish.size();
    }

    /** What may be lost where the line does not say, %. */
    double usualPercent() {
        boolean motor = said.load().filter(LoadWord::rests).isPresent() || said.inSpells();
        return job.rules().usualDrop(motor).percent();
    }

    double allowedPercent() {
        return allowedPercent;
    }

    private double nominalV() {
        return said.figure(Meaning.VOLTAGE).orElse(USUAL_V);
    }

    /** Studs that the line names, else {@code usual}. */
    private List<String> studs(String usual) {
        List<String> named = said.studs().stream().map(Stud::name).toList();
        return named.isEmpty() ? List.of(usual) : named;
    }

    /** The cable alone, of a size that the line names, on {@code stud} where it names none; nothing is known of its current. */
    JobParts cableAlone(String stud) {
        CableDetails unsized = cable(OUT, Map.of("current", "1 A")).byLoads();
        return new JobParts(
                job, List.of(), List.of(unsized), Map.of(OUT, ends(stud).get(OUT)), List.of(), shop);
    }

    /**
     * The whole circuit on {@code stud} where the line names none.
     *
     * @param fuse the fuse before it; null for none
     * @param share what both cables may lose, %; empty for all that the load allows
     */
    JobParts circuit(@Nullable FuseCheck fuse, OptionalDouble share, String stud) {
        OptionalDouble drop = share.isPresent() ? share : OptionalDouble.of(allowedPercent);
        List<EquipmentDetails> pieces = new ArrayList<>(List.of(bank(), load()));
        List<CableDetails> cables = new ArrayList<>();
        if (fuse == null) {
            cables.add(run(OUT, BANK + ".plus", LOAD + ".plus", drop));
        } else {
            pieces.add(1, fuse(fuse));
            CableDetails out = run(OUT, FUSE + ".out", LOAD + ".plus", drop);
            cables.add(post(out));
            cables.add(out);
        }
        cables.add(run(BACK, LOAD + ".minus", BANK + ".minus", drop));
        LoadsService.CaseFile work = new LoadsService.CaseFile(words.of("case.at-work"), 1, Map.of(LOAD, State.ON));
        Map<String, Map<Side, JobParts.End>> ends = ends(stud);
        ends.keySet().retainAll(cables.stream().map(CableDetails::tag).toList());
        return new JobParts(job, pieces, cables, ends, List.of(work), shop);
    }

    private CableDetails run(String tag, String from, String to, OptionalDouble drop) {
        Map<String, String> typed = new HashMap<>(Map.of("from", from, "to", to, "current", ""));
        typed.put("polarity", tag.equals(BACK) ? "NEGATIVE" : "POSITIVE");
        put(typed, "drop", drop, " %");
        return cable(tag, typed);
    }

    /** From the battery to the fuse on it: as thick as the cable behind the fuse, so it may lose as much a metre. */
    private CableDetails post(CableDetails out) {
        double whole = Objects.requireNonNullElse(out.dropPercent(), allowedPercent);
        double drop = whole * POST_M / out.lengthM();
        Map<String, String> typed = new HashMap<>(Map.of("from", BANK + ".plus", "to", FUSE + ".in", "current", ""));
        typed.put("length", POST_M + " m");
        typed.put("drop", Math.min(drop, whole) + " %");
        return cable(POST, typed);
    }

    private EquipmentDetails bank() {
        double ampereHours = said.figure(Meaning.CAPACITY)
                .orElseGet(() -> LoadAsked.of(said, nominalV()).bankAh(nominalV()));
        Map<String, String> typed = new HashMap<>(Map.of("tag", BANK, "capacity", ampereHours + " Ah"));
        said.named(Meaning.CHEMISTRY).map(Chemistry::valueOf).ifPresent(kind -> {
            typed.put("chemistry", kind.name());
            typed.put("inSeries", String.valueOf(Math.max(1, Math.round(job.chargingVoltageV() / kind.chargeV()))));
        });
        return piece(EquipmentKind.BANK, typed);
    }

    private EquipmentDetails load() {
        LoadAsked asked = LoadAsked.of(said, nominalV());
        Map<String, String> typed = new HashMap<>(Map.of("tag", LOAD, "name", said.loadName()));
        typed.put("efficiency", asked.efficiencyPercent() + " %");
        put(typed, "current", asked.currentA(), " A");
        put(typed, "power", asked.powerW(), " W");
        said.figure(Meaning.SPELL).ifPresent(onS -> {
            typed.put("dutyOn", onS + " s");
            typed.put("dutyOff", LoadAsked.restS(onS) + " s");
        });
        typed.put("drop", allowedPercent + " %");
        return piece(EquipmentKind.valueOf(asked.kind().name()), typed);
    }

    private EquipmentDetails fuse(FuseCheck fuse) {
        return piece(
                EquipmentKind.FUSE,
                Map.of("tag", FUSE, "family", fuse.family().name(), "rating", fuse.ratingA() + " A"));
    }

    private EquipmentDetails piece(EquipmentKind kind, Map<String, String> typed) {
        return EquipmentReader.read(entries(typed), EquipmentReader.fresh(kind, job));
    }

    /** A cable of the line, with further fields as they would be typed. */
    private CableDetails cable(String tag, Map<String, String> further) {
        Map<String, String> typed = new HashMap<>(Map.of("tag", tag));
        put(typed, "length", said.figure(Meaning.LENGTH), " m");
        put(typed, "ambient", said.figure(Meaning.AMBIENT), " °C");
        put(typed, "insulation", said.figure(Meaning.INSULATION), " °C");
        said.figure(Meaning.BUNDLED).ifPresent(count -> typed.put("bundled", String.valueOf((int) count)));
        said.named(Meaning.MATERIAL).ifPresent(kind -> typed.put("material", kind));
        said.named(Meaning.STRANDS).ifPresent(metal -> typed.put("strands", metal));
        flag(typed, "engineSpace", Meaning.ENGINE_SPACE);
        flag(typed, "conduit", Meaning.CONDUIT);
        flag(typed, "walled", Meaning.WALLED);
        Optional.ofNullable(tried).or(said::size).ifPresent(size -> {
            typed.put("series", size.series().name());
            typed.put("size", size.designation());
        });
        typed.putAll(further);
        Set<String> terminals = Stream.of("from", "to")
                .filter(typed::containsKey)
                .map(typed::get)
                .collect(Collectors.toSet());
        return CableReader.read(entries(typed), typed, CableDetails.fresh(job, tag), terminals);
    }

    private Map<String, Map<Side, JobParts.End>> ends(String usual) {
        List<String> studs = studs(usual);
        JobParts.End near = new JobParts.End(EndDetails.on(studs.get(0)), false);
        JobParts.End far = new JobParts.End(EndDetails.on(studs.get(studs.size() - 1)), false);
        Map<String, Map<Side, JobParts.End>> ends = new LinkedHashMap<>();
        ends.put(OUT, Map.of(Side.A, near, Side.B, far));
        ends.put(BACK, Map.of(Side.A, far, Side.B, near));
        ends.put(POST, Map.of(Side.A, near, Side.B, near));
        return ends;
    }

    /** The figures of a line are those of its kinds: {@link Line} has held them against their ranges. */
    private Entries entries(Map<String, String> typed) {
        return new Entries(typed, Units.METRIC);
    }

    private void flag(Map<String, String> typed, String field, Meaning meaning) {
        if (said.says(meaning)) {
            typed.put(field, "true");
        }
    }

    /** Four decimals at least: three could be read as thousands. */
    private static void put(Map<String, String> typed, String field, OptionalDouble figure, String unit) {
        figure.ifPresent(value -> {
            BigDecimal exact = BigDecimal.valueOf(value);
            typed.put(field, exact.setScale(Math.max(4, exact.scale())).toPlainString() + unit);
        });
    }
}
