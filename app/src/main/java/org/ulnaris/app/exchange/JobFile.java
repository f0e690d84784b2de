package org.ulnaris.app.exchange;

import java.util.List;
import java.util.Map;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.LoadsService.CaseFile;
import org.ulnaris.app.make.MakingFile;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.making.Side;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.DoubleNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as JSON: docs/formats/job-7.schema.json.
 *
 * @param format always {@value #FORMAT}
 * @param version always {@value #VERSION}
 */
public record JobFile(
        String format,
        int version,
        JobDetails job,
        List<EquipmentDetails> equipment,
        List<CaseFile> cases,
        List<CableFile> cables) {
    public static final String FORMAT = "ulnaris-job";
    public static final int VERSION = 7;

    /** A cable with the ends of which something was said, and its making. */
    public record CableFile(CableDetails cable, Map<Side, EndDetails> ends, MakingFile making) {}

    /** Version of a file; the current one where it says none. */
    static int versionOf(JsonNode file) {
        JsonNode version = file.get("version");
        boolean known = version != null && version.isInt() && version.intValue() >= 1 && version.intValue() <= VERSION;
        return known ? version.intValue() : VERSION;
    }

    /** Brings a sound file of an older version to the current one, with what was usual when it was written. */
    static void upgrade(JsonNode file) {
        int version = versionOf(file);
        ObjectNode job = (ObjectNode) file;
        if (version < 2) {
            fromFirst(job);
        }
        if (version < 3) {
            ((ObjectNode) job.get("job").get("rules"))
                    .put("sealedTerminals", true)
                    .put("facing", "RED_LEFT")
                    .putObject("practices")
                    .putObject("chosen");
            job.get("cables").forEach(cable -> ((ObjectNode) cable.get("cable")).put("conduit", false));
        }
        if (version < 4) {
            fromThird(job);
        }
        if (version < 6) {
            ((ObjectNode) job.get("job").get("rules"))
                    .put("sizeMarginPercent", 10)
                    .put("cleanProposal", true)
                    .put("terminalC", 75);
            job.get("cables")
                    .forEach(cable -> ((ObjectNode) cable.get("cable"))
                            .put("walled", false)
                            .putNull("material"));
        }
        if (version < 7) {
            job.get("cables").forEach(cable -> {
                ObjectNode details = (ObjectNode) cable.get("cable");
                boolean tinned = details.get("tinned").booleanValue();
                details.remove("tinned");
                details.put("metal", ConductorMetal.copper(tinned).name());
            });
        }
        ObjectNode rules = (ObjectNode) job.get("job").get("rules");
        rules.putIfAbsent("slackMm", DoubleNode.valueOf(JobRules.USUAL.slackMm()));
        rules.putIfAbsent("slackMovingMm", DoubleNode.valueOf(JobRules.USUAL.slackMovingMm()));
        job.put("version", VERSION);
    }

    /** Version 3 knew no margins of fuses, and wrote an angle of 0 where none was said. */
    private static void fromThird(ObjectNode job) {
        ((ObjectNode) job.get("job").get("rules"))
                .put("fuseOverLoadPercent", 125)
                .put("fuseOverAmpacityPercent", 150);
        job.get("cables").forEach(cable -> {
            ObjectNode details = (ObjectNode) cable.get("cable");
            if (details.get("clockDeg").doubleValue() == 0) {
                details.putNull("clockDeg");
            }
        });
    }

    /** Version 1 knew no house rules, equipment, cases, joints or bends, and typed every current. */
    private static void fromFirst(ObjectNode job) {
        ((ObjectNode) job.get("job"))
                .putObject("rules")
                .put("heatBalanceDecides", true)
                .put("mostLugs", 4)
                .put("bendDiameters", 5)
                .put("newDropPercent", 3);
        job.putArray("equipment");
        job.putArray("cases");
        job.get("cables")
                .forEach(cable -> ((ObjectNode) cable.get("cable"))
                        .put("currentFromLoads", false)
                        .put("extraJoints", 0));
    }
}
