package org.ulnaris.core.checks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.support.descriptor.MethodSource;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.TestPlan;

/** Counts the passed cases of every {@link CheckedAgainst} test and writes them to the file of a system property. */
public final class ChecksReport implements TestExecutionListener {
    private record Check(String source, String how, String test) {}

    private final Map<Check, Integer> cases =
            new TreeMap<>(java.util.Comparator.comparing(Check::source).thenComparing(Check::test));
    private boolean complete = true;

    @Override
    public void executionFinished(TestIdentifier test, TestExecutionResult result) {
        complete &= result.getStatus() == TestExecutionResult.Status.SUCCESSFUL;
        if (test.isTest()) {
            test.getSource()
                    .filter(MethodSource.class::isInstance)
                    .map(MethodSource.class::cast)
                    .ifPresent(this::count);
        }
    }

    private void count(MethodSource source) {
        CheckedAgainst checked = source.getJavaMethod().getAnnotation(CheckedAgainst.class);
        if (checked != null) {
            String test = source.getJavaClass().getSimpleName() + "." + source.getMethodName();
            cases.merge(new Check(checked.value(), checked.how(), test), 1, Integer::sum);
        }
    }

    @Override
    public void testPlanExecutionFinished(TestPlan plan) {
        String file = System.getProperty("ulnaris.checks.file");
        boolean wholeSuite = cases.size() > 20;
        if (file == null || !complete || !wholeSuite) {
            return;
        }
        StringBuilder text = new StringBuilder("# Checks against something outside\n\n")
                .append("Written by the tests of `core`; do not edit. \"recalled\": the published figure was recalled,")
                .append(" no printed standard was at hand.\n\n")
                .append("| source | figures | cases | test |\n| --- | --- | ---: | --- |\n");
        cases.forEach((check, count) ->
                text.append("| %s | %s | %d | `%s` |\n".formatted(check.source, check.how, count, check.test)));
        int total = cases.values().stream().mapToInt(Integer::intValue).sum();
        text.append("\n").append(total).append(" cases in all.\n");
        try {
            Path path = Path.of(file);
            Files.createDirectories(path.getParent());
            Files.writeString(path, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
