package org.ulnaris.app;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Import;
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

    /** What the first form of a page says that it began from. */
    protected String began(String path) {
        Matcher found =
                Pattern.compile("name=\"began\"[^>]* value=\"([^\"]*)\"").matcher(body(get(path)));
        return found.find() ? found.group(1) : "";
    }

    protected MvcTestResult post(String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(csrf());
        fields.forEach(request::param);
        return request.exchange();
    }

    protected MvcTestResult postHtmx(String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(csrf()).header("HX-Request", "true");
        fields.forEach(request::param);
        return request.exchange();
    }

    /** What was answered; of a page every white space is one blank, as a browser reads it. */
    protected static String body(MvcTestResult result) {
        try {
            String text = result.getResponse().getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
            return text.startsWith("<") ? text.replaceAll("\\s+", " ") : text;
        } catch (java.io.UnsupportedEncodingException e) {
            throw new IllegalStateException(e);
        }
    }
}
