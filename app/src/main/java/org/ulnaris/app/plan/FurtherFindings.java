package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.installation.Joints;
import org.ulnaris.core.sizing.SurgeHeat;

/** What is said of a cable beside the checks of its size: its joints, its bends, the heat of its surge. */
public final class FurtherFindings {
    private FurtherFindings() {}

    /** Findings of {@code cable} of {@code job} in the size of {@code sizing}. */
    public static List<Finding> of(JobDetails job, Cable cable, CableSizing sizing) {
        CableDetails details = cable.details();
        List<Finding> findings = new ArrayList<>();
        findings.add(Joints.finding(Joints.NEEDED + details.extraJoints(), sizing.conductor()));
        Double measured = details.outerMm();
        CableGeometry geometry = CableGeometry.of(
                sizing.conductor(), measured == null ? OptionalDouble.empty() : OptionalDouble.of(measured));
        details.route()
                .ifPresent(route -> findings.addAll(
                        route.findings(geometry.outerMm(), job.rules().bendDiameters())));
        CableLoad load = cable.load();
        if (load != null) {
            SurgeHeat.finding(sizing.inUse(), new SurgeHeat.Surge(load.currentA(), load.surgeA(), load.surgeS()))
                    .ifPresent(findings::add);
        }
        return List.copyOf(findings);
    }
}
