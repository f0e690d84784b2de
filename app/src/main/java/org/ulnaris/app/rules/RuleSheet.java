package org.ulnaris.app.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.rules.Practice;

/** All rules with their words, each declared once, by where they act. */
record RuleSheet(Group group, List<Rule> rules) {
    /** Where a rule acts. */
    enum Group {
        SIZE,
        FUSES,
        STUDS,
        CRIMPS,
        CONNECTORS,
        PROOF
    }

    /**
     * A rule.
     *
     * @param field its name in forms and records
     * @param why what speaks for either side
     * @param options what can be chosen; none where a figure is typed
     * @param example a figure as it is typed
     */
    record Rule(String field, String label, String why, List<Option> options, String example) {}

    /** An option of a rule. */
    record Option(String value, String words) {}

    private static final Map<Practice, Group> PRACTICES = Map.ofEntries(
            Map.entry(Practice.STEEL, Group.STUDS),
            Map.entry(Practice.THREADS, Group.STUDS),
            Map.entry(Practice.PASTE, Group.STUDS),
            Map.entry(Practice.CLICKS, Group.STUDS),
            Map.entry(Practice.WITNESS, Group.STUDS),
            Map.entry(Practice.LAY, Group.CRIMPS),
            Map.entry(Practice.PASSES, Group.CRIMPS),
            Map.entry(Practice.MARKS, Group.CRIMPS),
            Map.entry(Practice.SPIKES, Group.CRIMPS),
            Map.entry(Practice.STROKE, Group.CRIMPS),
            Map.entry(Practice.HEAT, Group.CRIMPS),
            Map.entry(Practice.SOLDER, Group.CONNECTORS),
            Map.entry(Practice.FORMING, Group.CONNECTORS),
            Map.entry(Practice.PIN, Group.CONNECTORS),
            Map.entry(Practice.PULL, Group.PROOF));

    static List<RuleSheet> of(Words words) {
        Map<Group, List<Rule>> groups = Map.of(
                Group.SIZE,
                List.of(
                        flag("heat", words),
                        figure("margin", "10 %", words),
                        flag("clean", words),
                        figure("terminal", "75 °C", words),
                        figure("drop", "3 %", words),
                        figure("bend", "5", words),
                        figure("slack", "150 mm", words),
                        figure("slackMoving", "250 mm", words)),
                Group.FUSES,
                List.of(
                        new Rule(
                                "placement",
                                words.of("rule.placement.label"),
                                words.of("rule.placement"),
                                Stream.concat(
                                                Stream.of(new Option("", words.of("rule.placement.method"))),
                                                options(List.of(Placement.School.values()), words))
                                        .toList(),
                                ""),
                        figure("fuseLoad", "125 %", words),
                        figure("fuseNext", "150 %", words)),
                Group.STUDS,
                List.of(figure("lugs", "4", words)),
                Group.CONNECTORS,
                List.of(
                        flag("sealed", words),
                        new Rule(
                                "facing",
                                words.of("rule.facing.label"),
                                words.of("rule.facing"),
                                options(List.of(JobRules.Facing.values()), words)
                                        .toList(),
                                "")));
        return Stream.of(Group.values())
                .map(group -> {
                    List<Rule> rules = new ArrayList<>(groups.getOrDefault(group, List.of()));
                    Stream.of(Practice.values())
                            .filter(practice -> PRACTICES.get(practice) == group)
                            .forEach(practice -> rules.add(practice(practice, words)));
                    return new RuleSheet(group, List.copyOf(rules));
                })
                .toList();
    }

    /** Every rule by its field. */
    static Map<String, Rule> byField(Words words) {
        return of(words).stream()
                .flatMap(sheet -> sheet.rules().stream())
                .collect(Collectors.toMap(Rule::field, Function.identity()));
    }

    private static Stream<Option> options(List<? extends Enum<?>> all, Words words) {
        return all.stream().map(one -> new Option(one.name(), words.name(one)));
    }

    private static Rule flag(String field, Words words) {
        return new Rule(
                field,
                words.of("rule." + field + ".label"),
                words.of("rule." + field),
                Stream.of("true", "false")
                        .map(value -> new Option(value, words.of("rule." + field + "." + value)))
                        .toList(),
                "");
    }

    private static Rule figure(String field, String example, Words words) {
        return new Rule(field, words.of("rule." + field + ".label"), words.of("rule." + field), List.of(), example);
    }

    private static Rule practice(Practice practice, Words words) {
        String key = "practice." + practice;
        return new Rule(
                RulesReader.FIELD + practice,
                words.of(key),
                words.of(key + ".why"),
                practice.options().stream()
                        .map(option -> new Option(option, words.of(key + "." + option)))
                        .toList(),
                "");
    }
}
