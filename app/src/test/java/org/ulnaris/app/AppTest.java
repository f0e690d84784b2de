package org.ulnaris.app;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Import;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.worked.WorkedCable;

/** The one application that all tests share; each test makes its own job. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "ulnaris.data=./target/test-data/${random.uuid}",
            "ulnaris.demo=true",
            "ulnaris.shop=Lantern Yard",
            "spring.jpa.properties.hibernate.generate_statistics=true"
        })
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@Import(MovableClock.class)
public abstract class AppTest {
    @Autowired
    protected MovableClock clock;

    @Autowired
    protected MockMvcTester mvc;

    @Autowired
    protected JobService jobs;

    @Autowired
    protected CableService cables;

    @Autowired
    protected Works works;

    @Autowired
    protected LastSteps steps;

    /** The cable worked out. */
    protected WorkedCable worked(Cable cable) {
        return works.of(cable.jobId()).cable(cable.details().tag());
    }

    protected Job newJob(Units units) {
        return jobs.create(
                new JobDetails("Test job", JobKind.MOBILE, 24, 29.2, units, RuleSet.CFR_183_425, JobRules.USUAL));
    }

    /** A cable of 180 A over 2.4 m, with further fields as a person would type them. */
    protected Cable newCable(Job job, Map<String, String> typed) {
        CableDetails fresh = CableDetails.fresh(job.details(), cables.proposeTag(job.id()));
        Map<String, String> all = new java.util.HashMap<>(Map.of("current", "180 A", "length", "2.4 m"));
        all.putAll(typed);
        return cables.create(
                job.id(), CableReader.read(new Entries(all, job.details().units()), all, fresh, java.util.Set.of()));
    }

    protected MvcTestResult get(String path) {
        return mvc.get().uri(path).exchange();
    }

    /** The name of the last step of a place, as the button that takes it back bears it. */
    protected String step(String place) {
        return steps.of(place).map(LastSteps.Step::token).orElse("");
    }

    /** The press that takes the last step of a place back. */
    protected MvcTestResult undo(String path, String place, Map<String, String> fields) {
        Map<String, String> all = new java.util.HashMap<>(fields);
        all.put("step", step(place));
        return post(path + "/undo", all);
    }

    /** What the first form of a page says that it began from. */
    protected String began(String path) {
        return begun(body(get(path))).orElse("");
    }

    /** The same of a page that was answered. */
    protected static Optional<String> begun(String page) {
        return Pattern.compile("name=\"began\"[^>]* value=\"([^\"]*)\"")
                .matcher(page)
                .results()
                .map(found -> found.group(1))
                .findFirst();
    }

    protected MvcTestResult post(String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(csrf());
        fields.forEach(request::param);
        return request.exchange();
    }

    /** A table sent as a file. */
    protected MvcTestResult upload(String path, String text) {
        return mvc.post()
                .uri(path)
                .multipart()
                .file(new MockMultipartFile("file", "table.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .exchange();
    }

    /** The press that takes a table of parts, {@code list} being lugs or contacts, after its check. */
    protected MvcTestResult takeParts(String list, String text, boolean drop) {
        MvcTestResult checked = upload("/stock/" + list + "/import", text);
        return checked.getResponse().getStatus() == 200
                ? post("/stock/" + list + "/import/accept", partsToTake(text, body(checked), drop))
                : checked;
    }

    /** What the button under a checked table of parts sends. */
    protected static Map<String, String> partsToTake(String text, String checked, boolean drop) {
        Map<String, String> sent = new java.util.HashMap<>(Map.of("text", text, "drop", String.valueOf(drop)));
        begun(checked).ifPresent(began -> sent.put("began", began));
        return sent;
    }

    protected MvcTestResult postHtmx(String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(csrf()).header("HX-Request", "true");
        fields.forEach(request::param);
        return request.exchange();
    }

    /** What was answered; of a page every white space is one blank, as a browser reads it. */
    protected static String body(MvcTestResult result) {
        try {
            String text = result.getResponse().getContentAsString(StandardCharsets.UTF_8);
            return text.startsWith("<") ? text.replaceAll("\\s+", " ") : text;
        } catch (java.io.UnsupportedEncodingException e) {
            throw new IllegalStateException(e);
        }
    }
}
