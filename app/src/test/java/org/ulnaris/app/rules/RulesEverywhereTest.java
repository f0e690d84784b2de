package org.ulnaris.app.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.pack.SheetService;
import org.ulnaris.app.plan.Cable;

/** A house rule that is changed is changed on every page, paper and in every source: its old figure is nowhere. */
class RulesEverywhereTest extends AppTest {
    @Autowired
    private SheetService sheets;

    /** What each rule becomes. */
    private static final Map<String, String> CHANGED = Map.of(
            "fuseLoad", "131 %",
            "fuseNext", "163 %",
            "terminal", "77 °C",
            "bend", "6.7",
            "lugs", "3",
            "slack", "163 mm",
            "slackMoving", "263 mm",
            "margin", "11 %");

    /** How the usual figure of each would still be seen. */
    private static final Map<String, Pattern> USUAL = Map.of(
            "fuseLoad", Pattern.compile("(?<![\\d.])(125 %(?! of its copper)|1\\.25 ×|1\\.25 ·|five quarters)"),
            "fuseNext", Pattern.compile("(?<![\\d.])150 %|half as much again"),
            "terminal", Pattern.compile("(?<![\\d.])75 °C"),
            "bend", Pattern.compile("(?i)(?<![\\d.])5 (×|·) ?(D|OD|outside)|five (outside|diameters)|four to six"),
            "lugs", Pattern.compile("(?i)(at most|most:?) (4|four)\\b|four lugs"),
            "slack", Pattern.compile("(?i)slack (of )?150 mm|150 mm of slack"),
            "slackMoving", Pattern.compile("(?i)slack (of )?250 mm|250 mm of slack"),
            "margin", Pattern.compile("(?<![\\d.])10 % (free|margin|to spare)"));

    private List<String> pages(Job job) {
        List<String> pages = new ArrayList<>();
        for (String page :
                List.of("", "plan", "loads", "match", "make", "landing", "prove", "pack", "findings", "worked")) {
            pages.add("/jobs/" + job.id() + (page.isEmpty() ? "" : "/" + page));
        }
        for (Cable cable : cables.of(job.id())) {
            for (String page : List.of("plan", "match", "make", "prove", "pack", "bench/check", "bench/torque-a")) {
                pages.add("/cables/" + cable.id() + "/" + page);
            }
        }
        return pages;
    }

    @ParameterizedTest
    @ValueSource(strings = {"Lantern Cart", "Sandpiper"})
    void theOldFigureIsNowhere(String name) {
        Job demo = jobs.all().stream()
                .filter(one -> one.details().name().equals(name))
                .min(Comparator.comparingLong(Job::id))
                .orElseThrow();
        Job job = jobs.copy(demo.id());
        assertThat(post("/jobs/" + job.id() + "/rules", CHANGED)).hasStatus(302);
        List<String> found = new ArrayList<>();
        for (String page : pages(job)) {
            look(page, Jsoup.parse(body(get(page))).text(), found);
        }
        for (Cable cable : cables.of(job.id())) {
            look(
                    "sheet of " + cable.details().tag(),
                    Jsoup.parse(sheets.document(cable.id())).text(),
                    found);
        }
        assertThat(found).isEmpty();
    }

    private static void look(String page, String text, List<String> found) {
        String plain = text.replace('\u00a0', ' ').replace('\u202f', ' ');
        USUAL.forEach((rule, usual) -> {
            Matcher matcher = usual.matcher(plain);
            if (matcher.find()) {
                int from = Math.max(0, matcher.start() - 70);
                found.add(rule + " on " + page + ": "
                        + plain.substring(from, Math.min(plain.length(), matcher.end() + 30)));
            }
        });
    }
}
