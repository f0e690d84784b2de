package org.ulnaris.core.parts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/**
 * The parts that the making of a job still takes: what is cut, crimped, shrunk or tightened is in the cable, and off the list.
 *
 * @param parts by kind, then by name
 * @param open tags of cables of which not all is known: nothing that fits stands at an end, or no current and no size is given
 * @param stopped tags of cables, fuses and other pieces that are stopped: what they take may change
 */
public record JobNeeds(List<Need> parts, List<String> open, List<String> stopped) {
    private static final int TAGS_OF_A_CABLE = 2;
    private static final int ENDS_OF_A_LOOM = 2;
    private static final int POLES = 2;
    private static final double MM_PER_M = 1000;

    public JobNeeds {
        parts = List.copyOf(parts);
        open = List.copyOf(open);
        stopped = List.copyOf(stopped);
    }

    /**
     * What {@code job} takes.
     *
     * @param done whether a step of the cable with a tag is done
     */
    public static JobNeeds of(WorkedJob job, BiPredicate<String, BuildStep> done) {
        return new Counting(done).count(job);
    }

    /** A part that somebody takes: {@code amount} pieces or metres. */
    private record Taking(Part part, double amount, String user) {}

    private static final class Counting {
        private final BiPredicate<String, BuildStep> done;
        private final List<Taking> takings = new ArrayList<>();
        private final Set<String> shared = new HashSet<>();
        private final List<String> open = new ArrayList<>();

        Counting(BiPredicate<String, BuildStep> done) {
            this.done = done;
        }

        JobNeeds count(WorkedJob job) {
            job.cables().forEach(this::cable);
            job.model().pieces().forEach(piece -> fuse(piece, job));
            List<Need> needs = takings.stream().collect(Collectors.groupingBy(Taking::part)).entrySet().stream()
                    .map(entry -> need(entry.getKey(), entry.getValue()))
                    .sorted(Comparator.comparing((Need need) -> need.part().kind())
                            .thenComparing(need -> need.part().code()))
                    .toList();
            return new JobNeeds(needs, open, stopped(job));
        }

        /** What is stopped, but for cables that are finished: they take nothing any more. */
        private List<String> stopped(WorkedJob job) {
            Set<String> finished = job.cables().stream()
                    .filter(cable -> cable.plan().steps().stream().allMatch(step -> done.test(cable.tag(), step)))
                    .map(WorkedCable::tag)
                    .collect(Collectors.toSet());
            return job.findings().stream()
                    .filter(said -> said.verdict() == Verdict.STOP)
                    .map(said ->
                            Terminal.read(said.subject()).map(Terminal::device).orElse(said.subject()))
                    .filter(tag -> !finished.contains(tag))
                    .distinct()
                    .toList();
        }

        private static Need need(Part part, List<Taking> takings) {
            return new Need(
                    part,
                    takings.stream().mapToDouble(Taking::amount).sum(),
                    part.kind().byLength()
                            ? takings.stream().mapToDouble(Taking::amount).max().orElse(0)
                            : 0,
                    takings.stream().map(Taking::user).distinct().toList());
        }

        private void take(Part part, double amount, String user) {
            takings.add(new Taking(part, amount, user));
        }

        private boolean open(WorkedCable cable, StepKind kind, @Nullable Side side) {
            return !done.test(cable.tag(), new BuildStep(kind, side));
        }

        private void cable(WorkedCable cable) {
            if (!cable.carried().known() && cable.cable().chosenSize() == null) {
                open.add(cable.tag());
                return;
            }
            CutLength cut = cable.plan().cutLength();
            if (cut == null) {
                open.add(cable.tag());
            } else if (open(cable, StepKind.CUT, null)) {
                take(
                        Part.cable(cable.plan().cable().conductor()),
                        (cut.cutMm() + CutLength.SAW_CUT_MM) / MM_PER_M,
                        cable.tag());
            }
            if (open(cable, StepKind.THREAD, null)) {
                run(cable, cable.plan().sleeves());
            }
            for (Side side : Side.values()) {
                end(cable, side);
            }
        }

        private void run(WorkedCable cable, RunSleeves sleeves) {
            tube(sleeves.tag(), TAGS_OF_A_CABLE * RunSleeves.TAG_MM, cable.tag());
            RunSleeves.Loom loom = sleeves.loom();
            if (loom != null) {
                take(Part.loom(loom), cable.cable().way().lengthM(), cable.tag());
                tube(sleeves.loomEnd(), ENDS_OF_A_LOOM * RunSleeves.LOOM_END_MM, cable.tag());
            }
        }

        private void tube(@Nullable ShrinkTube tube, double lengthMm, String user) {
            if (tube != null) {
                take(Part.sleeve(tube), lengthMm / MM_PER_M, user);
            }
        }

        private void end(WorkedCable cable, Side side) {
            EndPlan end = cable.plan().end(side);
            Termination at = end.termination();
            if (at == null) {
                return;
            }
            if (open(cable, StepKind.CRIMP, side) && open(cable, StepKind.SOLDER, side)) {
                MatchedLug lug = end.match();
                MatchedContact contact = end.contact();
                if (contact != null) {
                    contact(contact.contact(), cable, side);
                } else if (lug != null) {
                    take(Part.lug(lug.lug()), 1.0 / lug.lug().form().conductors(), cable.tag());
                }
            }
            ShrinkChoice sleeve = at.sleeve();
            if (sleeve != null && open(cable, StepKind.SHRINK, side)) {
                tube(sleeve.tube(), sleeve.cover().cutLengthMm(), cable.tag());
            }
            if (end.match() != null && open(cable, StepKind.TORQUE, side) && first("nut", cable, side)) {
                take(Part.hardware(end.landing().stud()), 1, cable.tag());
            }
        }

        /** A two-pole connector takes both poles; a splice is the same one for both cables that go to it. */
        private void contact(Contact contact, WorkedCable cable, Side side) {
            if (!contact.style().joins() || first(contact.code(), cable, side)) {
                take(Part.contact(contact), contact.family() == Family.TWO_POLE ? 1.0 / POLES : 1, cable.tag());
            }
        }

        /** Whether it is the first that is met where the end goes. */
        private boolean first(String what, WorkedCable cable, Side side) {
            String point = cable.cable().points().at(side);
            return point.isEmpty() || shared.add(what + " " + point);
        }

        /** A fuse stays on the list until every cable that ends at it is landed. */
        private void fuse(Piece piece, WorkedJob job) {
            if (piece.device() instanceof Device.Fuse fuse) {
                List<Boolean> landed = new ArrayList<>();
                for (WorkedCable cable : job.cables()) {
                    for (Side side : Side.values()) {
                        cable.cable()
                                .points()
                                .terminal(side)
                                .filter(terminal -> terminal.device().equals(fuse.tag()))
                                .ifPresent(terminal -> landed.add(!open(cable, StepKind.LAND, side)));
                    }
                }
                if (landed.isEmpty() || landed.contains(false)) {
                    take(Part.fuse(fuse.family(), fuse.ratingA()), 1, fuse.tag());
                }
            }
        }
    }
}
