package org.ulnaris.app.loads;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.rating.AmpacityConditions;

/** What a job says of its equipment, cables and cases, as the core knows it. */
public final class InstallationMaker {
    private InstallationMaker() {}

    /**
     * A job in files' words.
     *
     * @param cables all cables; those that join no two terminals are left out of the installation
     * @param cases the cases, states by the tag of the equipment
     * @param soldered tags of the cables with solder at an end
     */
    public record Parts(
            JobDetails job,
            List<EquipmentDetails> equipment,
            List<CableDetails> cables,
            List<LoadsService.CaseFile> cases,
            Set<String> soldered) {}

    /** The installation; empty while there is no equipment or no case. */
    public static Optional<Installation> make(Parts parts) {
        if (parts.equipment().isEmpty() || parts.cases().isEmpty()) {
            return Optional.empty();
        }
        JobDetails job = parts.job();
        List<Device> devices = parts.equipment().stream()
                .map(details -> DeviceMaker.device(details, job.nominalVoltageV()))
                .toList();
        Set<String> terminals = new HashSet<>();
        for (Device device : devices) {
            device.terminals().forEach(terminal -> terminals.add(terminal.toString()));
        }
        return Optional.of(new Installation(
                new Installation.System(
                        job.nominalVoltageV(),
                        job.chargingVoltageV(),
                        job.ruleSet(),
                        job.rules().house()),
                devices,
                parts.cables().stream()
                        .filter(cable -> terminals.contains(cable.fromPoint()) && terminals.contains(cable.toPoint()))
                        .map(cable -> run(cable, parts.soldered().contains(cable.tag())))
                        .toList(),
                parts.cases().stream()
                        .map(one -> new OperatingCase(one.name(), one.states(), one.hoursPerDay()))
                        .toList()));
    }

    private static Run run(CableDetails cable, boolean soldered) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(
                        cable.insulationTempC(),
                        cable.ambientC(),
                        cable.engineSpace(),
                        cable.bundled(),
                        cable.conduit()),
                cable.terminalTempC() == null ? OptionalDouble.empty() : OptionalDouble.of(cable.terminalTempC()),
                cable.series(),
                cable.tinned(),
                cable.dropPercent(),
                soldered);
        String chosen = cable.chosenSize();
        return new Run(
                cable.tag(),
                Terminal.parse(cable.fromPoint()),
                Terminal.parse(cable.toPoint()),
                cable.lengthM(),
                laying,
                chosen == null ? null : ConductorSizes.designated(chosen).orElse(null),
                cable.extraJoints());
    }
}
