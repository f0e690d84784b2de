package org.ulnaris.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Turn;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.worked.WorkedCable;

/** Readers beside a writer: no page fails, and each shows one state of the job. */
class ReadersTest extends AppTest {
    private static final int READERS = 3;
    private static final long NS = TimeUnit.SECONDS.toNanos(12);

    @Autowired
    private Turn turns;

    @Autowired
    private PlatformTransactionManager transactions;

    private Job job;
    private Cable first;
    private Cable second;

    @BeforeEach
    void aJobOfTwoCables() {
        job = newJob(Units.METRIC);
        first = newCable(job, Map.of("tag", "EVEN-1"));
        second = newCable(job, Map.of("tag", "ODD-1"));
    }

    private List<String> pages() {
        List<String> pages = new ArrayList<>();
        for (String place : List.of("", "/plan", "/findings", "/layout", "/loads", "/landing", "/budget", "/what-if")) {
            pages.add("/jobs/" + job.id() + place);
        }
        for (String place : List.of("/plan", "/match", "/make", "/prove", "/pack", "/bench/check")) {
            pages.add("/cables/" + first.id() + place);
        }
        pages.add("/api/v1/jobs/" + job.id() + "/worked");
        pages.add("/jobs/" + job.id() + "/pack/cables.csv");
        return pages;
    }

    /** Reads pages in turn until the writer has had its time; what came that must not come. */
    private List<String> readWhile(Runnable write, Pattern never) throws Exception {
        AtomicBoolean going = new AtomicBoolean(true);
        ConcurrentLinkedQueue<String> wrong = new ConcurrentLinkedQueue<>();
        ExecutorService readers = Executors.newFixedThreadPool(READERS);
        List<Future<Integer>> read = new ArrayList<>();
        List<String> pages = pages();
        for (int reader = 0; reader < READERS; reader++) {
            int begin = reader * 5;
            read.add(readers.submit(() -> {
                int count = 0;
                for (int i = begin; going.get(); i++) {
                    String page = pages.get(i % pages.size());
                    try {
                        var answer = get(page);
                        int status = answer.getResponse().getStatus();
                        if ((status != 200 && status != 404)
                                || never.matcher(body(answer)).find()) {
                            wrong.add(status + " " + page);
                        }
                    } catch (RuntimeException | AssertionError e) {
                        wrong.add(e.getClass().getSimpleName() + " " + page);
                    }
                    count++;
                }
                return count;
            }));
        }
        long until = System.nanoTime() + NS;
        while (System.nanoTime() < until) {
            write.run();
        }
        going.set(false);
        int all = 0;
        for (Future<Integer> one : read) {
            all += one.get();
        }
        readers.shutdown();
        assertThat(all).isGreaterThan(pages.size());
        return wrong.stream().distinct().toList();
    }

    /** In its turn, as every press is. */
    private void edit(Runnable change) {
        try {
            turns.take(() -> {
                change.run();
                return null;
            });
        } catch (Throwable e) {
            throw new IllegalStateException(e);
        }
    }

    /** Both tags change at once: a page that shows one of the old and one of the new is torn. */
    @Test
    void aPageShowsOneState() throws Exception {
        int[] turn = {1};
        Runnable rename = () -> {
            turn[0] = 3 - turn[0];
            edit(() -> cables.changeAll(Map.of(
                    first.id(), first.details().tagged("EVEN-" + turn[0]),
                    second.id(), second.details().tagged("ODD-" + turn[0]))));
        };
        Pattern torn = Pattern.compile(
                "EVEN-1.*(EVEN|ODD)-2|EVEN-2.*(EVEN|ODD)-1|ODD-1.*EVEN-2|ODD-2.*EVEN-1", Pattern.DOTALL);
        assertThat(readWhile(rename, torn)).isEmpty();
    }

    /** A transaction that read a cable before somebody renamed it works the job out from both; nobody else gets that. */
    @Test
    void whatOneTransactionReadTooEarlyIsNotKept() {
        new TransactionTemplate(transactions).executeWithoutResult(status -> {
            cables.get(first.id());
            CompletableFuture.runAsync(() ->
                            edit(() -> cables.change(first.id(), first.details().tagged("LATER"))))
                    .join();
            works.of(job.id());
        });
        assertThat(works.of(job.id()).cables())
                .extracting(WorkedCable::tag)
                .containsExactlyInAnyOrder("LATER", "ODD-1");
    }

    @Test
    void noPageFailsWhileCablesComeAndGo() throws Exception {
        int[] turn = {0};
        Runnable comeAndGo = () -> {
            turn[0]++;
            if (turn[0] % 3 == 0) {
                post("/cables/" + second.id() + "/restore", Map.of());
            } else if (turn[0] % 3 == 1) {
                post("/cables/" + second.id() + "/row", Map.of("tag", "N" + turn[0]));
            } else {
                post("/cables/" + second.id() + "/delete", Map.of());
            }
        };
        assertThat(readWhile(comeAndGo, Pattern.compile("\\A\\z"))).isEmpty();
    }
}
