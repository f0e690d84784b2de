package org.ulnaris.core.parts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.FindingCode;
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
 * @param stopped what is stopped: what it takes may change
 */
public record JobNeeds(List<Need> parts, List<String> open, List<Stopped> stopped) {
    private static final int TAGS_OF_A_CABLE = 2;
    private static final int ENDS_OF_A_LOOM = 2;
    private static final int ENDS_OF_A_SPLICE = 2;
    private static final int POLES = 2;
    private static final double MM_PER_M = 1000;

    /**
     * A cable, a fuse or another piece that is stopped.
     *
     * @param reason the first check that stops it
     */
    public record Stopped(String tag, FindingCode reason) {}

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

    /**
     * A piece that the ends at one place share.
     *
     * @param place where they meet; empty where nobody said
     * @param ends how many of them one piece serves
     */
    private record Piecewise(Part part, String place, int ends) {}

    /** An end that wants such a piece, and whether it has it already. */
    private record Wish(String user, boolean has) {}

    private static final class Counting {
        private final BiPredicate<String, BuildStep> done;
        private final List<Taking> takings = new ArrayList<>();
        private final Map<Piecewise, List<Wish>> wishes = new LinkedHashMap<>();
        private final List<String> open = new ArrayList<>();

        Counting(BiPredicate<String, BuildStep> done) {
            this.done = done;
        }

        JobNeeds count(WorkedJob job) {
            job.cables().forEach(this::cable);
            wishes.forEach(this::serve);
            job.model().pieces().forEach(piece -> fuse(piece, job));
            List<Need> needs = takings.stream().collect(Collectors.groupingBy(Taking::part)).entrySet().stream()
                    .map(entry -> need(entry.getKey(), entry.getValue()))
                    .sorted(Comparator.comparing((Need need) -> need.part().kind())
                            .thenComparing(need -> need.part().code()))
                    .toList();
            return new JobNeeds(needs, open, stopped(job));
        }

        /** Whether all that is done to an end is done; to the whole cable where {@code side} is null. */
        private boolean isFinished(WorkedCable cable, @Nullable Side side) {
            return cable.plan().steps().stream()
                    .filter(step -> side == null || step.side() == side)
                    .allMatch(step -> done.test(cable.tag(), step));
        }

        /** What is stopped, but for cables that are finished: they take nothing any more. */
        private List<Stopped> stopped(WorkedJob job) {
            Set<String> finished = job.cables().stream()
                    .filter(cable -> isFinished(cable, null))
                    .map(WorkedCable::tag)
                    .collect(Collectors.toSet());
            Map<String, FindingCode> stopped = new LinkedHashMap<>();
            job.findings().stream()
                    .filter(said -> said.verdict() == Verdict.STOP)
                    .forEach(said -> stopped.putIfAbsent(
                            Terminal.read(said.subject()).map(Terminal::device).orElse(said.subject()),
                            said.finding().code()));
            return stopped.entrySet().stream()
                    .filter(one -> !finished.contains(one.getKey()))
                    .map(one -> new Stopped(one.getKey(), one.getValue()))
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
            if (cable.sizeSaid().isEmpty() && !isFinished(cable, null)) {
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
            boolean joined = !open(cable, StepKind.CRIMP, side) || !open(cable, StepKind.SOLDER, side);
            MatchedLug lug = end.match();
            MatchedContact contact = end.contact();
            if (contact != null) {
                wish(contact(contact.contact(), cable, side), cable.tag(), joined);
            } else if (lug != null) {
                int conductors = lug.lug().form().conductors();
                wish(new Piecewise(Part.lug(lug.lug()), point(cable, side), conductors), cable.tag(), joined);
            }
            ShrinkChoice sleeve = at.sleeve();
            if (sleeve != null && open(cable, StepKind.SHRINK, side)) {
                tube(sleeve.tube(), sleeve.cover().cutLengthMm(), cable.tag());
            }
            if (lug != null) {
                String stud = point(cable, side);
                int onIt = stud.isEmpty() ? 1 : Integer.MAX_VALUE;
                wish(
                        new Piecewise(Part.hardware(end.landing().stud()), stud, onIt),
                        cable.tag(),
                        !open(cable, StepKind.TORQUE, side));
            }
        }

        private static String point(WorkedCable cable, Side side) {
            return cable.cable().points().at(side);
        }

        /** A two-pole connector takes both poles of what it is at; a splice is the same one for both cables that go to it. */
        private static Piecewise contact(Contact contact, WorkedCable cable, Side side) {
            String point = point(cable, side);
            Part part = Part.contact(contact);
            if (contact.family() == Family.TWO_POLE) {
                String piece = Terminal.read(point).map(Terminal::device).orElse(point);
                return new Piecewise(part, piece, POLES);
            }
            return new Piecewise(part, point, contact.style().joins() && !point.isEmpty() ? ENDS_OF_A_SPLICE : 1);
        }

        private void wish(Piecewise piece, String user, boolean has) {
            wishes.computeIfAbsent(piece, one -> new ArrayList<>()).add(new Wish(user, has));
        }

        /** So many ends as one piece serves take one, unless one of them has it. */
        private void serve(Piecewise piece, List<Wish> ends) {
            for (int from = 0; from < ends.size(); ) {
                int to = (int) Math.min(ends.size(), (long) from + piece.ends());
                List<Wish> served = ends.subList(from, to);
                if (served.stream().noneMatch(Wish::has)) {
                    served.forEach(wish -> take(piece.part(), 1.0 / served.size(), wish.user()));
                }
                from = to;
            }
        }

        /** A fuse stays on the list until every end at it is finished. */
        private void fuse(Piece piece, WorkedJob job) {
            if (piece.device() instanceof Device.Fuse fuse) {
                List<Boolean> finished = new ArrayList<>();
                for (WorkedCable cable : job.cables()) {
                    for (Side side : Side.values()) {
                        cable.cable()
                                .points()
                                .terminal(side)
                                .filter(terminal -> terminal.device().equals(fuse.tag()))
                                .ifPresent(terminal -> finished.add(isFinished(cable, side)));
                    }
                }
                if (finished.isEmpty() || finished.contains(false)) {
                    take(Part.fuse(fuse.family(), fuse.ratingA()), 1, fuse.tag());
                }
            }
        }
    }
}
