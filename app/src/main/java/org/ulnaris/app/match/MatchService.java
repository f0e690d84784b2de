package org.ulnaris.app.match;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.drawing.ClockDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.RibbonDrawer;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableCopied;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CablePictures;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.CableSizing;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.plan.SharedStuds;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.ContactStock;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.app.stock.StockService;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.EndKind;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

/** Ends of cables: looks up what the planner needs, keeps what the person says. */
@Service
@Transactional
public class MatchService implements CablePictures {
    private final EndSpecRepository specs;
    private final StockService stock;
    private final ContactStock contacts;
    private final Shelf shelf;
    private final CribService crib;
    private final JobWiring terminals;
    private final CableService cables;
    private final Words words;

    MatchService(
            EndSpecRepository specs,
            StockService stock,
            ContactStock contacts,
            Shelf shelf,
            CribService crib,
            JobWiring terminals,
            CableService cables,
            Words words) {
        this.cables = cables;
        this.contacts = contacts;
        this.shelf = shelf;
        this.terminals = terminals;
        this.specs = specs;
        this.stock = stock;
        this.crib = crib;
        this.words = words;
    }

    /** An end with the version that an edit must name. */
    public record Kept(EndDetails details, long version) {}

    /** The end as it was entered; before that, as the terminal where it lands is. */
    @Transactional(readOnly = true)
    public Kept end(Cable cable, Side side) {
        return specs.findByCableIdAndSide(cable.id(), side)
                .map(spec -> new Kept(spec.details(), spec.version()))
                .orElseGet(() -> new Kept(fresh(cable, side, terminals.specs(cable.jobId())), -1));
    }

    private static EndDetails fresh(Cable cable, Side side, Map<String, TerminalSpec> landings) {
        CableDetails details = cable.details();
        TerminalSpec landing = landings.get(side == Side.A ? details.fromPoint() : details.toPoint());
        return landing == null
                ? EndDetails.FRESH
                : new EndDetails(
                        landing.stud(),
                        landing.torqueNm(),
                        landing.torqueMinNm(),
                        landing.torqueMaxNm(),
                        landing.clearWidthMm(),
                        landing.studLengthMm(),
                        null,
                        null,
                        null,
                        null);
    }

    public Kept change(long cableId, Side side, EndDetails details) {
        EndSpec spec = specs.findByCableIdAndSide(cableId, side).orElseGet(() -> new EndSpec(cableId, side, details));
        spec.change(details);
        EndSpec saved = specs.saveAndFlush(spec);
        return new Kept(saved.details(), saved.version());
    }

    /** Everything but tube lugs that an end may get. */
    @Transactional(readOnly = true)
    List<Contact> contacts() {
        return contacts.all();
    }

    /** The stud that an end shares with other cables of its job; empty when it has it alone. */
    @Transactional(readOnly = true)
    public Optional<SharedStuds.Shared> shared(Job job, Cable cable, Side side) {
        String point =
                side == Side.A ? cable.details().fromPoint() : cable.details().toPoint();
        if (!SharedStuds.isStud(point, terminals.of(job.id()))) {
            return Optional.empty();
        }
        List<Cable> meeting = cables.of(job.id()).stream()
                .filter(other -> other.details().fromPoint().equals(point)
                        || other.details().toPoint().equals(point))
                .toList();
        return meeting.size() < 2
                ? Optional.empty()
                : Optional.ofNullable(SharedStuds.of(meeting, plans(job, meeting), Set.of(point))
                        .get(point));
    }

    /** Copies what was picked for an end to all like ends of its job; how many were changed. */
    public int spread(Job job, Cable from, Side side) {
        EndDetails picked = end(from, side).details();
        String size =
                CableSizing.of(job.details(), from.details()).inUse().size().designation();
        int changed = 0;
        for (Cable cable : cables.of(job.id())) {
            boolean alike = CableSizing.of(job.details(), cable.details())
                    .inUse()
                    .size()
                    .designation()
                    .equals(size);
            for (Side other : alike ? Side.values() : new Side[0]) {
                EndDetails now = end(cable, other).details();
                EndDetails then = now.as(picked);
                boolean landed = picked.contact() != null || now.stud().equals(picked.stud());
                boolean kind = (now.contact() == null) == (picked.contact() == null);
                if (landed && kind && !then.equals(now)) {
                    change(cable.id(), other, then);
                    changed++;
                }
            }
        }
        return changed;
    }

    @Override
    @Transactional(readOnly = true)
    public CablePlan plan(Job job, Cable cable) {
        return Objects.requireNonNull(plans(job, List.of(cable)).get(cable.id()));
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, CablePlan> plans(Job job, List<Cable> cables) {
        Shop shop = shop();
        Map<Long, Map<Side, EndDetails>> ends = new HashMap<>();
        for (EndSpec spec : specs.findByCableIdIn(cables.stream().map(Cable::id).toList())) {
            ends.computeIfAbsent(spec.cableId(), id -> new EnumMap<>(Side.class))
                    .put(spec.side(), spec.details());
        }
        Map<String, TerminalSpec> landings = terminals.specs(job.id());
        for (Cable cable : cables) {
            Map<Side, EndDetails> own = ends.computeIfAbsent(cable.id(), id -> new EnumMap<>(Side.class));
            for (Side side : Side.values()) {
                own.computeIfAbsent(side, missing -> fresh(cable, missing, landings));
            }
        }
        return cables.stream()
                .collect(Collectors.toMap(
                        Cable::id, cable -> plan(job, cable, ends.getOrDefault(cable.id(), Map.of()), shop)));
    }

    /** What there is to choose from. */
    @Transactional(readOnly = true)
    public Shop shop() {
        Toolbox toolbox = crib.toolbox();
        List<Die> dies = toolbox.dies().stream().map(Toolbox.HeldDie::die).toList();
        return new Shop(stock.lugs(), contacts.all(), dies, ShrinkTube.shipped(), toolbox, shelf.all());
    }

    private static CablePlan plan(Job job, Cable cable, Map<Side, EndDetails> ends, Shop shop) {
        CableDetails details = cable.details();
        CableSizing sizing = CableSizing.of(job.details(), details);
        CableGeometry geometry = CableGeometry.of(
                sizing.conductor(),
                details.outerMm() == null ? OptionalDouble.empty() : OptionalDouble.of(details.outerMm()));
        RouteClock clock = clock(details, ends);
        JobRules.Facing facing = job.details().rules().facing();
        return CablePlan.of(new PlanInput(
                geometry,
                new PlanInput.Route(1000 * details.lengthM(), details.slackMm(), clock.degrees()),
                demand(ends.getOrDefault(Side.A, EndDetails.FRESH), new Asked(shop, clock.angleDeg(Side.A), facing)),
                demand(ends.getOrDefault(Side.B, EndDetails.FRESH), new Asked(shop, clock.angleDeg(Side.B), facing)),
                shop,
                new PlanInput.Circumstances(
                        new ContactDemand.Load(
                                details.currentA(), sizing.inUse().ampacityA()),
                        place(job.details().kind()),
                        job.details().rules().sealedTerminals(),
                        job.details().rules().practices().is(Practice.STROKE, "FULL_ONLY"),
                        details.conduit())));
    }

    private static Place place(JobKind kind) {
        return switch (kind) {
            case MOBILE -> Place.VEHICLE;
            case MARINE -> Place.BOAT;
            case OFF_GRID -> Place.CABIN;
        };
    }

    /** The steps of each cable by its ends, in one statement. */
    @Transactional(readOnly = true)
    public Map<Long, List<BuildStep>> steps(Collection<Long> cableIds) {
        Map<Long, Map<Side, EndKind>> kinds = new HashMap<>();
        List<EndSpec> said = specs.findByCableIdIn(cableIds);
        boolean picked = said.stream().anyMatch(spec -> {
            ContactChoice contact = spec.details().contact();
            return contact != null && contact.contactCode() != null;
        });
        List<Contact> catalogue = picked ? contacts.all() : List.of();
        for (EndSpec spec : said) {
            kinds.computeIfAbsent(spec.cableId(), id -> new EnumMap<>(Side.class))
                    .put(spec.side(), spec.details().kind(catalogue));
        }
        Map<Long, List<BuildStep>> steps = new HashMap<>();
        for (Long id : cableIds) {
            Map<Side, EndKind> own = kinds.getOrDefault(id, Map.of());
            steps.put(id, EndKind.steps(own.getOrDefault(Side.A, EndKind.LUG), own.getOrDefault(Side.B, EndKind.LUG)));
        }
        return steps;
    }

    /** The steps of one cable. */
    @Transactional(readOnly = true)
    public List<BuildStep> steps(long cableId) {
        return Objects.requireNonNull(steps(List.of(cableId)).get(cableId));
    }

    /** How the lugs of a cable stand by its route. */
    @Transactional(readOnly = true)
    RouteClock clock(Cable cable) {
        return clock(
                cable.details(),
                Map.of(
                        Side.A, end(cable, Side.A).details(),
                        Side.B, end(cable, Side.B).details()));
    }

    private static RouteClock clock(CableDetails cable, Map<Side, EndDetails> ends) {
        Map<Side, Heading> studs = new EnumMap<>(Side.class);
        ends.forEach((side, end) -> {
            Heading points = end.surroundings().studPoints();
            if (points != null) {
                studs.put(side, points);
            }
        });
        return RouteClock.of(cable, studs);
    }

    /** What an end is planned with: what there is, the angle at which its cable leaves, how the job faces its connectors. */
    private record Asked(Shop shop, OptionalInt angleDeg, JobRules.Facing facing) {}

    private static EndDemand demand(EndDetails end, Asked asked) {
        Shop shop = asked.shop();
        Landing landing = new Landing(
                Studs.named(end.stud()).orElseThrow(),
                optional(end.clearWidthMm()),
                optional(end.studLengthMm()),
                end.surroundings().around(asked.angleDeg()));
        Lug lug = find(shop.lugs(), Lug::code, end.lugCode());
        Die die = find(shop.dies(), Die::tag, end.dieTag());
        ContactChoice contact = end.contact();
        return new EndDemand(
                landing,
                torque(end),
                lug,
                die,
                contact == null ? null : contact.wish(shop.contacts(), asked.facing()),
                end.surroundings().count());
    }

    private static @Nullable TorqueSpec torque(EndDetails end) {
        Double nominal = end.torqueNm();
        if (nominal == null) {
            return null;
        }
        Source source = Source.given("device maker");
        TorqueSpec around = TorqueSpec.around(nominal, source);
        return new TorqueSpec(
                nominal,
                end.torqueMinNm() == null ? around.minNm() : end.torqueMinNm(),
                end.torqueMaxNm() == null ? around.maxNm() : end.torqueMaxNm(),
                source);
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static <T> @Nullable T find(List<T> all, Function<T, String> name, @Nullable String wanted) {
        return all.stream()
                .filter(item -> name.apply(item).equals(wanted))
                .findFirst()
                .orElse(null);
    }

    @Override
    public Drawing ribbon(Job job, Cable cable, CablePlan plan, boolean dimensions) {
        return drawer(job, cable, plan, dimensions)
                .ribbon(words.of(
                        "ribbon.label",
                        cable.details().tag(),
                        plan.cable().conductor().size().designation(),
                        job.fmt().route(cable.details().lengthM())));
    }

    /** How the two lugs stand to one another, seen from B; empty where an end has no lug. */
    public Optional<Drawing> clockDrawing(CablePlan plan) {
        MatchedLug a = plan.a().match();
        MatchedLug b = plan.b().match();
        return a == null || b == null
                ? Optional.empty()
                : Optional.of(ClockDrawer.of(
                        a, b, plan.route().clockDeg(), new ClockDrawer.Captions("A", "B", words.of("clock.label"))));
    }

    /** A pen for this cable's drawings. */
    public RibbonDrawer drawer(Job job, Cable cable, CablePlan plan, boolean dimensions) {
        return new RibbonDrawer(plan, job.fmt(), cable.details().polarity().css(), dimensions);
    }

    @EventListener
    void copyEnds(CableCopied copied) {
        for (EndSpec spec : specs.findByCableIdIn(List.of(copied.fromId()))) {
            specs.save(new EndSpec(copied.toId(), spec.side(), spec.details()));
        }
    }
}
