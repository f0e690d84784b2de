package org.ulnaris.app.landing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.ulnaris.app.drawing.BareEndsDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.picture.LandingPicture;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingGroup;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Make: in what order the ends of the whole job are landed, and taken off again. */
@Controller
class LandingController {
    private final JobService jobs;
    private final CableService cables;
    private final Works works;
    private final JobPage page;
    private final LandingPicture picture;
    private final Words words;

    LandingController(
            JobService jobs, CableService cables, Works works, JobPage page, LandingPicture picture, Words words) {
        this.jobs = jobs;
        this.cables = cables;
        this.works = works;
        this.page = page;
        this.picture = picture;
        this.words = words;
    }

    /**
     * An end to land.
     *
     * @param torque as it is asked for; empty for what is plugged
     * @param link the step of the bench that comes next for it
     * @param made whether its cable is ready to be landed
     */
    record Row(
            int number,
            String cable,
            String point,
            String stud,
            String torque,
            boolean landed,
            boolean next,
            String link,
            boolean made) {}

    /** A part of the order. */
    record Section(LandingGroup group, int from, int to, boolean open, boolean landed, List<Row> rows) {
        public String range() {
            int low = Math.min(from, to);
            int high = Math.max(from, to);
            return low == high ? String.valueOf(low) : low + "–" + high;
        }
    }

    @GetMapping("/jobs/{id}/landing")
    @Transactional(readOnly = true)
    String landing(Model model, @PathVariable long id, @RequestParam Map<String, String> asked) {
        Job job = jobs.get(id);
        boolean off = asked.containsKey("off");
        page.open(model, job);
        WorkedJob worked = works.of(id);
        LandingOrder order = LandingOrder.of(worked);
        Map<String, Long> ids = cables.of(id).stream()
                .collect(Collectors.toMap(cable -> cable.details().tag(), Cable::id));
        int next = off ? 0 : order.next().map(LandingEnd::number).orElse(0);
        List<Row> rows = new ArrayList<>(order.ends().stream()
                .map(end -> row(job, worked, end, Objects.requireNonNull(ids.get(end.cable())), next))
                .toList());
        if (off) {
            Collections.reverse(rows);
        }
        model.addAttribute("off", off);
        model.addAttribute("sections", sections(order, rows));
        model.addAttribute("next", rows.stream().filter(Row::next).findFirst().orElse(null));
        model.addAttribute("count", rows.size());
        model.addAttribute("landed", rows.stream().filter(Row::landed).count());
        model.addAttribute("mains", String.join(", ", order.mains()));
        model.addAttribute("chargers", String.join(", ", order.chargers()));
        model.addAttribute("panels", String.join(", ", order.panels()));
        model.addAttribute("unfused", String.join(", ", order.unfused()));
        int[] bare = order.bare(worked.model());
        model.addAttribute("bare", Arrays.stream(bare).max().orElse(0));
        model.addAttribute(
                "bareTimes", Arrays.stream(bare).filter(ends -> ends > 0).count());
        boolean drawn = order.ends().stream().anyMatch(end -> end.group() != LandingGroup.LOOSE);
        model.addAttribute("drawing", drawn ? picture.of(job, worked, order) : null);
        model.addAttribute("byPart", drawn && picture.isByPart(worked));
        model.addAttribute("chart", drawn ? chart(worked, order, bare) : null);
        return "landing/landing";
    }

    private Drawing chart(WorkedJob worked, LandingOrder order, int[] bare) {
        int[] byCable = order.bareByCable(worked.model());
        int[] fromBattery = order.bareFromBattery(worked.model());
        return BareEndsDrawer.draw(
                List.of(
                        new BareEndsDrawer.Order("by-cable", byCable),
                        new BareEndsDrawer.Order("from-battery", fromBattery),
                        new BareEndsDrawer.Order("this", bare)),
                words.of(
                        "landing.chart",
                        Arrays.stream(bare).max().orElse(0),
                        Arrays.stream(byCable).max().orElse(0),
                        Arrays.stream(fromBattery).max().orElse(0)));
    }

    private static List<Section> sections(LandingOrder order, List<Row> rows) {
        List<Section> sections = new ArrayList<>();
        List<Row> of = new ArrayList<>();
        for (Row row : rows) {
            LandingGroup group = group(order, row);
            if (!of.isEmpty() && group(order, of.get(0)) != group) {
                sections.add(section(group(order, of.get(0)), of));
                of = new ArrayList<>();
            }
            of.add(row);
        }
        if (!of.isEmpty()) {
            sections.add(section(group(order, of.get(0)), of));
        }
        return sections;
    }

    private static LandingGroup group(LandingOrder order, Row row) {
        return order.ends().get(row.number() - 1).group();
    }

    private static Section section(LandingGroup group, List<Row> rows) {
        return new Section(
                group,
                rows.get(0).number(),
                rows.get(rows.size() - 1).number(),
                rows.stream().anyMatch(Row::next) || group.live(),
                rows.stream().allMatch(Row::landed),
                rows);
    }

    private Row row(Job job, WorkedJob worked, LandingEnd end, long cableId, int next) {
        WorkedCable cable = worked.cable(end.cable());
        EndPlan plan = cable.plan().end(end.side());
        Set<String> done = worked.model().record(end.cable()).done();
        List<BuildStep> steps = cable.plan().steps();
        boolean made = cable.sizeSaid().isPresent()
                && steps.stream()
                        .filter(step -> step.kind().scope() != StepKind.Scope.LANDING)
                        .allMatch(step -> done.contains(step.key()));
        boolean bolted = steps.contains(new BuildStep(StepKind.TORQUE, end.side()));
        TorqueSpec torque = plan.torque();
        String asks = torque == null ? words.of("torque.ask") : job.fmt().torque(torque.nominalNm());
        String link = steps.stream()
                .filter(step -> made && step.side() == end.side() && step.kind().scope() == StepKind.Scope.LANDING)
                .filter(step -> !done.contains(step.key()))
                .findFirst()
                .map(step -> "/cables/" + cableId + "/bench/" + step.key())
                .orElse("/cables/" + cableId + "/make");
        return new Row(
                end.number(),
                end.cable(),
                end.point(),
                bolted ? plan.landing().stud().name() : "",
                bolted ? asks : "",
                end.landed(),
                end.number() == next,
                link,
                made);
    }
}
