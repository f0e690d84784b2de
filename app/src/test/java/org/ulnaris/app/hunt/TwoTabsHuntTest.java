package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.undo.LastSteps;

/** Two tabs change a job at once and press Undo and Redo of the steps that each of them saw: a press turns the step that it names, or nothing. */
class TwoTabsHuntTest extends Hunt {
    private static final int PRESSES = 40;
    private static final List<String[]> BULK = List.of(
            new String[] {"drop", "5 %"},
            new String[] {"drop", "10 %"},
            new String[] {"length", "1.3 m"},
            new String[] {"length", "4 m"},
            new String[] {"bundled", "3"},
            new String[] {"bundled", "1"});

    /** The last step as it must be: its name, the job's file on both sides of it, and on which it stands. */
    private record Last(String token, String before, String after, boolean undone) {}

    @Test
    void aPressTurnsTheStepThatItNamesOrNothing() {
        int turned = 0;
        int late = 0;
        for (long sequence = 0; sequence < sequences(3); sequence++) {
            trail.clear();
            Job job = aSmallJob();
            String path = "/jobs/" + job.id();
            String[] seen = {"", ""};
            Last last = new Last("", "", "", false);
            for (int press = 0; press < PRESSES; press++) {
                int tab = random.nextInt(2);
                String before = exchange.json(job.id());
                switch (random.nextInt(5)) {
                    case 0 -> {
                        change(job, path);
                        String token = step(LastSteps.job(job.id()));
                        String after = exchange.json(job.id());
                        if (!after.equals(before)) {
                            assertThat(token).as("after " + trail).isNotEqualTo(last.token());
                            last = new Last(token, before, after, false);
                        }
                    }
                    case 1 -> seen[tab] = step(LastSteps.job(job.id()));
                    default -> {
                        boolean redo = random.nextBoolean();
                        trail.add((redo ? "redo " : "undo ") + seen[tab]);
                        String led = String.valueOf(post(path + (redo ? "/redo" : "/undo"), Map.of("step", seen[tab]))
                                .getResponse()
                                .getRedirectedUrl());
                        boolean turns =
                                seen[tab].equals(last.token()) && !last.token().isEmpty() && redo == last.undone();
                        String expected = !turns ? before : redo ? last.after() : last.before();
                        assertThat(led.endsWith("?late"))
                                .as(led + " after " + trail)
                                .isEqualTo(!turns);
                        assertThat(exchange.json(job.id())).as("after " + trail).isEqualTo(expected);
                        if (turns) {
                            last = new Last(last.token(), last.before(), last.after(), !redo);
                            turned++;
                        } else {
                            late++;
                        }
                    }
                }
            }
            theFileComesBack(job);
        }
        assertThat(turned).isPositive();
        assertThat(late).isPositive();
    }

    /** Some cables at once, or new ones from a table. */
    private void change(Job job, String path) {
        List<Cable> all = new ArrayList<>(cables.of(job.id()));
        if (random.nextInt(4) == 0) {
            String tag = "N" + random.nextInt(1000);
            trail.add("import " + tag);
            post(path + "/import/accept", Map.of("text", "tag,current,length\n" + tag + ",20,3\n"));
            return;
        }
        String[] bulk = any(BULK);
        Cable one = any(all);
        trail.add(one.details().tag() + " " + bulk[0] + "=" + bulk[1]);
        post(path + "/bulk", new HashMap<>(Map.of("cable", one.id().toString(), "field", bulk[0], "value", bulk[1])));
    }
}
