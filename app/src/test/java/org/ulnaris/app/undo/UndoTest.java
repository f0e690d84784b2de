package org.ulnaris.app.undo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.stock.ContactStock;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.making.Side;

class UndoTest extends AppTest {
    private static final String IMPORT = "tag,current,length\nI1,20,3\nI2,30,4\n";

    @Autowired
    private LoadsService loads;

    @Autowired
    private MatchService match;

    @Autowired
    private LugStock lugs;

    @Autowired
    private ContactStock contacts;

    private Job job;
    private Cable one;
    private String path;
    private String place;

    @BeforeEach
    void aJob() {
        job = newJob(Units.METRIC);
        one = newCable(job, Map.of("tag", "U1"));
        newCable(job, Map.of("tag", "U2"));
        path = "/jobs/" + job.id();
        place = LastSteps.job(job.id());
    }

    private void bulk(String drop) {
        post(path + "/bulk", Map.of("cable", one.id().toString(), "field", "drop", "value", drop));
    }

    private List<CableDetails> now() {
        return cables.of(job.id()).stream().map(Cable::details).toList();
    }

    private String press(String turn, String step) {
        return String.valueOf(
                post(path + "/" + turn, Map.of("step", step)).getResponse().getRedirectedUrl());
    }

    /** Two tabs: the button of the one does not take back what the other did meanwhile. */
    @Test
    void aPressTakesBackTheStepThatItNames() {
        bulk("5 %");
        String first = step(place);
        post(path + "/import/accept", Map.of("text", IMPORT));
        List<CableDetails> both = now();
        assertThat(press("undo", first)).endsWith("/plan?late");
        assertThat(press("undo", "")).endsWith("/plan?late");
        assertThat(now()).isEqualTo(both);
        assertThat(body(get(path + "/plan?late"))).contains("no longer the last change", "2 cables were imported.");
        assertThat(press("undo", step(place))).endsWith("?undone=2&left=0");
        assertThat(now()).isEqualTo(both.subList(0, 2));
    }

    /** Pressed twice, from two tabs: the second press neither takes back more nor does it again. */
    @Test
    void aStepIsTakenBackOnceAndDoneAgainOnce() {
        List<CableDetails> before = now();
        bulk("5 %");
        List<CableDetails> after = now();
        String step = step(place);
        assertThat(press("redo", step)).endsWith("?late");
        assertThat(press("undo", step)).endsWith("?undone=1&left=0");
        assertThat(press("undo", step)).endsWith("?late");
        assertThat(now()).isEqualTo(before);
        assertThat(body(get(path + "/plan?undone=1&left=0")))
                .contains("Undone:", "One cable was changed at once.", "Do it again")
                .doesNotContain("as before");
        assertThat(press("redo", step)).endsWith("?redone=1&left=0");
        assertThat(press("redo", step)).endsWith("?late");
        assertThat(now()).isEqualTo(after);
        assertThat(press("undo", step)).endsWith("?undone=1&left=0");
        assertThat(now()).isEqualTo(before);
    }

    /** What somebody made or changed meanwhile stays as it is. */
    @Test
    void doneAgainItLeavesWhatWasChangedSince() {
        post(path + "/import/accept", Map.of("text", IMPORT));
        String step = step(place);
        press("undo", step);
        newCable(job, Map.of("tag", "I1"));
        assertThat(press("redo", step)).endsWith("?redone=1&left=1");
        assertThat(now()).extracting(CableDetails::tag).containsExactlyInAnyOrder("U1", "U2", "I1", "I2");
    }

    private void thereAndBack(String at, String where, Supplier<Object> state, Runnable change) {
        Object before = state.get();
        change.run();
        Object after = state.get();
        assertThat(after).isNotEqualTo(before);
        String step = step(where);
        for (int turn = 0; turn < 2; turn++) {
            post(at + "/undo", Map.of("step", step));
            assertThat(state.get()).isEqualTo(before);
            post(at + "/redo", Map.of("step", step));
            assertThat(state.get()).isEqualTo(after);
        }
        post(at + "/undo", Map.of("step", step));
    }

    @Test
    void everyKindOfThingGoesThereAndBack() {
        thereAndBack(path, place, this::now, () -> post(path + "/import/accept", Map.of("text", IMPORT)));
        thereAndBack(
                path,
                place,
                () -> loads.details(job.id()),
                () -> post(path + "/fuse-panel", Map.of("tag", "UP", "family", "BLADE_C", "ratings", "10 15 20")));
        thereAndBack(
                path,
                place,
                () -> match.end(one, Side.A),
                () -> steps.keep(
                        place,
                        LastSteps.What.LIKE_ENDS,
                        List.of(match.changed(
                                one,
                                Side.A,
                                Records.with(match.end(one, Side.A).details(), Map.of("torqueNm", 7.0))))));
        thereAndBack(
                "/stock/lugs",
                LastSteps.LUGS,
                lugs::all,
                () -> takeParts(
                        "lugs",
                        "code,material,outside,inside,depth,pad_width,hole\nundo,COPPER,15.9,12.1,25,25.4,10\n",
                        false));
        String[] lines = body(get("/stock/contacts.csv")).split("\n");
        thereAndBack(
                "/stock/contacts",
                LastSteps.CONTACTS,
                contacts::all,
                () -> takeParts("contacts", lines[0] + "\nundo " + lines[1] + "\n", false));
    }
}
