package org.ulnaris.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.TerminalLimit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The schema of job files against what the program writes: every rule, every choice, every limit. */
class JobSchemaTest extends AppTest {
    private static final String RULES = "/properties/job/properties/rules/properties";

    @Autowired
    private ExchangeService exchange;

    private static JsonNode schema() throws Exception {
        return JsonMapper.builder()
                .build()
                .readTree(Files.readString(Path.of("..", "docs", "formats", "job-7.schema.json")));
    }

    private static List<String> options(JsonNode node) {
        List<String> options = new ArrayList<>();
        node.path("enum").forEach(one -> {
            if (!one.isNull()) {
                options.add(one.asString());
            }
        });
        return options;
    }

    private static List<String> names(Class<? extends Enum<?>> type) {
        return Arrays.stream(type.getEnumConstants()).map(Enum::name).toList();
    }

    @Test
    void everyPracticeIsInTheSchemaWithItsOptions() throws Exception {
        JsonNode chosen = schema().at(RULES + "/practices/properties/chosen/properties");
        Map<String, List<String>> declared = new LinkedHashMap<>();
        Stream.of(Practice.values()).forEach(practice -> declared.put(practice.name(), practice.options()));
        Map<String, List<String>> found = new LinkedHashMap<>();
        chosen.propertyNames().forEach(name -> found.put(name, options(chosen.path(name))));
        assertThat(found).isEqualTo(declared);
    }

    @Test
    void everyChoiceIsInTheSchema() throws Exception {
        JsonNode schema = schema();
        Map.of(
                        "/properties/job/properties/ruleSet",
                        RuleSet.class,
                        RULES + "/placement",
                        Placement.School.class,
                        "/$defs/equipment/properties/kind",
                        EquipmentKind.class,
                        "/$defs/equipment/properties/chemistry",
                        Chemistry.class,
                        "/$defs/equipment/properties/fuseFamily",
                        FuseFamily.class,
                        "/$defs/equipment/properties/stringTap",
                        StringTap.class,
                        "/$defs/equipment/properties/stringFuses",
                        StringFuses.class,
                        "/$defs/terminal/properties/metal",
                        TerminalMetal.class)
                .forEach((at, type) ->
                        assertThat(options(schema.at(at))).as(at).containsExactlyInAnyOrderElementsOf(names(type)));
    }

    private void comesBack(JobRules rules) throws Exception {
        Job job = newJob(Units.METRIC);
        jobs.change(job.id(), job.details().ruled(rules));
        Job back = exchange.importJson(exchange.json(job.id()));
        assertThat(back.details().rules()).isEqualTo(rules);
        jobs.delete(job.id());
        jobs.delete(back.id());
    }

    @Test
    void everyRuleInEveryValueComesBack() throws Exception {
        for (Practice practice : Practice.values()) {
            for (String option : practice.options()) {
                comesBack(Records.with(
                        JobRules.USUAL,
                        Map.of("practices", JobRules.USUAL.practices().with(practice, option))));
            }
        }
        for (Placement.School school : Placement.School.values()) {
            comesBack(Records.with(JobRules.USUAL, Map.of("placement", school)));
        }
        for (JobRules.Facing facing : JobRules.Facing.values()) {
            comesBack(Records.with(JobRules.USUAL, Map.of("facing", facing)));
        }
        for (String flag : List.of("heatBalanceDecides", "cleanProposal", "sealedTerminals")) {
            comesBack(Records.with(JobRules.USUAL, Map.of(flag, true)));
            comesBack(Records.with(JobRules.USUAL, Map.of(flag, false)));
        }
    }

    @Test
    void everyLimitOfARuleComesBack() throws Exception {
        Map<String, Range> ranges = Map.of(
                "sizeMarginPercent", SizePolicy.MARGIN_PERCENT,
                "terminalC", TerminalLimit.LIMIT_C,
                "bendDiameters", HouseRules.BEND_DIAMETERS,
                "fuseOverLoadPercent", ProtectedCable.Margins.OVER_LOAD_PERCENT,
                "fuseOverAmpacityPercent", ProtectedCable.Margins.OVER_AMPACITY_PERCENT,
                "newDropPercent", JobRules.NEW_DROP_PERCENT,
                "slackMm", JobRules.SLACK_MM,
                "slackMovingMm", JobRules.SLACK_MM);
        for (Map.Entry<String, Range> rule : ranges.entrySet()) {
            Range range = rule.getValue();
            double least = range.contains(0) ? 0 : range.above() + (range.upTo() - range.above()) / 1000;
            for (double value : new double[] {least, (range.above() + range.upTo()) / 2, range.upTo()}) {
                assertThat(range.contains(value))
                        .as("%s %s", rule.getKey(), value)
                        .isTrue();
                comesBack(Records.with(JobRules.USUAL, Map.of(rule.getKey(), value)));
            }
        }
        comesBack(Records.with(JobRules.USUAL, Map.of("mostLugs", 1)));
        comesBack(Records.with(JobRules.USUAL, Map.of("mostLugs", (int) HouseRules.MOST_LUGS.upTo())));
    }
}
