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
import org.ulnaris.core.making.Side;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as JSON: docs/formats/job-2.schema.json.
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
    public static final int VERSION = 2;

    /** A cable with its ends and its making. */
    public record CableFile(CableDetails cable, Map<Side, EndDetails> ends, MakingFile making) {}

    /** Version of a file; the current one where it says none. */
    static int versionOf(JsonNode file) {
        JsonNode version = file.get("version");
        return version != null && version.isInt() && version.intValue() == 1 ? 1 : VERSION;
    }

    /** Brings a sound file of version 1 to the current one: it knew no house rules, equipment,
     * cases, joints or bends, and typed every current. */
    static void upgrade(JsonNode file) {
        if (versionOf(file) == 1) {
            ObjectNode job = (ObjectNode) file;
            job.put("version", VERSION);
            ((ObjectNode) job.get("job"))
                    .putObject("rules")
                    .put("heatBalanceDecides", JobRules.USUAL.heatBalanceDecides())
                    .put("mostLugs", JobRules.USUAL.mostLugs())
                    .put("bendDiameters", JobRules.USUAL.bendDiameters())
                    .put("newDropPercent", JobRules.USUAL.newDropPercent());
            job.putArray("equipment");
            job.putArray("cases");
            job.get("cables")
                    .forEach(cable -> ((ObjectNode) cable.get("cable"))
                            .put("currentFromLoads", false)
                            .put("extraJoints", 0));
        }
    }
}
