package org.ulnaris.app.fix;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.fix.Fix;
import org.ulnaris.core.fix.FixCandidates;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedJob;

class FixTest extends AppTest {
    @Autowired
    private Assembler assembler;

    @Autowired
    private FixService fixes;

    @Autowired
    private LoadsService loads;

    @Autowired
    private MatchService match;

    /** A copy, so that what is taken in it stays out of the other tests. */
    private Job copyOf(String name) {
        return jobs.copy(jobs.all().stream()
                .filter(one -> one.details().name().equals(name))
                .min(Comparator.comparingLong(Job::id))
                .orElseThrow()
                .id());
    }

    /** A bank, a heater of 1 kW and both cables between them, without a fuse. */
    private Job unfused() {
        Job job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "capacity", "200 Ah"));
        long heater = loads.add(job.id(), EquipmentKind.HEATER, Map.of("tag", "HEAT", "power", "1 kW"));
        loads.switchTo(heater, 1, State.ON);
        lead(job, Map.of("tag", "HEAT+", "from", "BANK.plus", "to", "HEAT.plus"));
        lead(job, Map.of("tag", "HEAT−", "from", "HEAT.minus", "to", "BANK.minus", "polarity", "NEGATIVE"));
        return job;
    }

    private Cable lead(Job job, Map<String, String> typed) {
        Map<String, String> all = new java.util.HashMap<>(Map.of("current", "", "length", "2 m"));
        all.putAll(typed);
        return cables.create(
                job.id(),
                CableReader.read(
                        new Entries(all, Units.METRIC),
                        all,
                        CableDetails.fresh(job.details(), "C1"),
                        java.util.Set.of(typed.get("from"), typed.get("to"))));
    }

    private Cable cable(Job job, String tag) {
        return cables.of(job.id()).stream()
                .filter(one -> one.details().tag().equals(tag))
                .findFirst()
                .orElseThrow();
    }

    private List<JobFinding> asking(Job job) {
        return works.of(job.id()).findings().stream()
                .filter(said -> said.verdict().asks())
                .toList();
    }

    private JobFinding said(Job job, FindingCode code) {
        return asking(job).stream()
                .filter(one -> one.finding().code() == code)
                .findFirst()
                .orElseThrow(() -> new AssertionError("not said: " + code + " of " + asking(job)));
    }

    /** What is kept is what was tried: the finding is gone, nothing new is said; and an undo leaves the job as it was. */
    private void isTakenAndTakenBack(Job job, JobFinding said, FixService.Offer offer) {
        JobParts before = assembler.parts(job.id());
        WorkedJob now = works.of(job.id());
        assertThat(fixes.take(job.id(), offer.finding())).as(offer.label()).isPresent();
        WorkedJob then = works.of(job.id());
        assertThat(FixCandidates.mends(said, now, then)).as(offer.label()).isTrue();
        assertThat(undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of("picture", "true")))
                .hasStatus(302);
        JobParts back = assembler.parts(job.id());
        assertThat(back.equipment()).isEqualTo(before.equipment());
        assertThat(back.cables()).isEqualTo(before.cables());
        assertThat(back.ends()).isEqualTo(before.ends());
    }

    @ParameterizedTest
    @ValueSource(strings = {"Lantern Cart", "Frostline"})
    void everyOfferMendsWhatItStandsAt(String name) {
        Job job = copyOf(name);
        int offered = 0;
        for (JobFinding said : asking(job)) {
            Optional<FixService.Offer> offer = fixes.offer(job, said);
            if (offer.isPresent()) {
                offered++;
                isTakenAndTakenBack(job, said, offer.get());
            }
        }
        assertThat(offered).isEqualTo(2);
    }

    /** Found by the hunt: a cable that ends where it begins took the picture of its job with it. */
    @Test
    void aFuseIsTriedBeforeACableThatEndsWhereItBegins() {
        Job job = unfused();
        Cable loop = cable(job, "HEAT+");
        cables.change(loop.id(), Records.with(loop.details(), Map.of("toPoint", "BANK.plus")));
        JobParts tried =
                new FixedJob(assembler.parts(job.id())).with(new Fix.PutFuse("HEAT+", Side.A, FuseFamily.CLASS_T, 100));
        assertThat(tried.cables()).hasSize(3);
        for (String page : List.of("", "/plan", "/loads", "/findings")) {
            assertThat(get("/jobs/" + job.id() + page)).hasStatusOk();
        }
    }

    /** A fuse too far away is mended with a saw, not by a press. */
    @Test
    void whatNoSingleChangeMendsIsNotOffered() {
        Job job = copyOf("Sandpiper");
        assertThat(asking(job))
                .isNotEmpty()
                .allSatisfy(said -> assertThat(fixes.offer(job, said)).isEmpty());
    }

    @Test
    void aMissingFuseIsPutWhereTheCableBegins() {
        Job job = unfused();
        JobFinding missing = said(job, FindingCode.FUSE_MISSING);
        FixService.Offer offer = fixes.offer(job, missing).orElseThrow();
        assertThat(offer.label()).startsWith("Put ").endsWith("where HEAT+ begins");
        isTakenAndTakenBack(job, missing, offer);
        fixes.take(job.id(), offer.finding());
        assertThat(cable(job, "HEAT+").details().fromPoint()).isEqualTo("F1.out");
        assertThat(cable(job, "F1+").details().fromPoint()).isEqualTo("BANK.plus");
        assertThat(cable(job, "F1+").details().lengthM()).isEqualTo(0.15);
        assertThat(asking(job)).noneMatch(said -> said.finding().code() == FindingCode.FUSE_MISSING);
    }

    @Test
    void aSizeByHandGivesWayToTheProposal() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "THIN", "series", "METRIC", "size", "6 mm²"));
        JobFinding thin = said(job, FindingCode.AMPACITY);
        FixService.Offer offer = fixes.offer(job, thin).orElseThrow();
        assertThat(offer.label())
                .isEqualTo("Use "
                        + works.of(job.id())
                                .cable("THIN")
                                .size()
                                .result()
                                .chosen()
                                .orElseThrow()
                                .size()
                                .designation() + " for THIN");
        isTakenAndTakenBack(job, thin, offer);
        fixes.take(job.id(), offer.finding());
        assertThat(cable(job, "THIN").details().chosenSize()).isNull();
    }

    @Test
    void aLugByHandGivesWayToTheProposal() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "LUG"));
        match.change(
                cable.id(),
                Side.B,
                new EndDetails("M8", null, null, null, null, null, "DIN 16 · M12", null, null, null));
        List<JobFinding> wrong = asking(job).stream()
                .filter(said ->
                        said.where().startsWith("B") && fixes.offer(job, said).isPresent())
                .toList();
        assertThat(wrong).isNotEmpty();
        isTakenAndTakenBack(job, wrong.get(0), fixes.offer(job, wrong.get(0)).orElseThrow());
    }

    @Test
    void aPressOnWhatIsMendedAlreadyChangesNothing() {
        Job job = copyOf("Frostline");
        String key = fixes.offer(job, said(job, FindingCode.FUSE_VOLTAGE))
                .orElseThrow()
                .finding();
        String first = post("/jobs/" + job.id() + "/fix", Map.of("finding", key))
                .getResponse()
                .getRedirectedUrl();
        assertThat(first).contains("at=HEATF", "mended=true");
        assertThat(body(get(first))).contains("Fixed; you can undo it.");
        JobParts mended = assembler.parts(job.id());
        String second = post("/jobs/" + job.id() + "/fix", Map.of("finding", key))
                .getResponse()
                .getRedirectedUrl();
        assertThat(second).contains("gone=true");
        assertThat(body(get(second))).contains("fixed already");
        assertThat(post("/jobs/" + job.id() + "/fix", Map.of("finding", "|||"))).hasStatus(302);
        assertThat(post("/jobs/999999/fix", Map.of("finding", key))).hasStatus(404);
        assertThat(assembler.parts(job.id())).isEqualTo(mended);
    }

    /** What somebody has changed since stays as it is. */
    @Test
    void anUndoLeavesWhatWasChangedSince() {
        Job job = copyOf("Frostline");
        fixes.take(
                job.id(),
                fixes.offer(job, said(job, FindingCode.FUSE_VOLTAGE))
                        .orElseThrow()
                        .finding());
        long fuse = loads.idOf(job.id(), "HEATF").orElseThrow();
        post("/equipment/" + fuse + "/picture", Map.of("rating", "70 A"));
        String back = undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of("picture", "true"))
                .getResponse()
                .getRedirectedUrl();
        assertThat(back).isEqualTo("/jobs/" + job.id() + "?undone=0&left=1");
        assertThat(body(get(back))).contains("One was changed since and stays as it is.");
        assertThat(loads.details(job.id()).stream()
                        .filter(piece -> piece.tag().equals("HEATF"))
                        .findFirst()
                        .orElseThrow()
                        .ratingA())
                .isEqualTo(70.0);
    }

    @Test
    void theBoardOffersThemToo() {
        Job job = copyOf("Frostline");
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("Class T for HEATF</button>");
    }
}
