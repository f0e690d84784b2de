package org.ulnaris.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.ulnaris.app.shell.KeepsNothing;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.Network;
import org.ulnaris.core.network.NetworkSolver;
import org.ulnaris.core.network.Warmth;

/** Networks for programs: a whole one in one request, or the one that a job holds. */
@RestController
@RequestMapping(
        path = "/api/v1",
        produces = {MediaType.APPLICATION_JSON_VALUE, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
class NetworkApiController {
    private static final int LONGEST_BODY = 1_000_000;
    private static final int MOST_ELEMENTS = 4000;
    private static final int LONGEST_NAME = 80;
    private static final Range TEMPERATURE_C = new Range(-90, 400);
    private static final Range AMPACITY_A = new Range(0, 1e6);
    private static final Range MOST_A = new Range(0, 1e7);

    private final Works works;

    NetworkApiController(Works works) {
        this.works = works;
    }

    @Operation(
            summary = "Solve a direct-current network",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content = @Content(schema = @Schema(implementation = NetworkModel.NetworkRequest.class))))
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = NetworkModel.NetworkAnswer.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @KeepsNothing
    @PostMapping(path = "/network", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> network(@RequestBody(required = false) @Nullable String body) {
        JsonEntries in = new JsonEntries(ApiController.parse(body, LONGEST_BODY));
        in.allow("elements");
        List<Element> elements = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (JsonEntries entry : in.clean() ? in.objects("elements", MOST_ELEMENTS) : List.<JsonEntries>of()) {
            Element element = element(in, entry);
            if (element != null) {
                if (!ids.add(element.branch().id())) {
                    entry.fault("id", "TAKEN", "the id stands twice");
                }
                elements.add(element);
            }
        }
        return in.clean()
                ? ResponseEntity.ok(NetworkModel.NetworkAnswer.of(NetworkSolver.solve(new Network(elements))))
                : ApiController.refuse(in.problems());
    }

    /** The element of {@code entry}; null when {@code in} has faults. */
    private static @Nullable Element element(JsonEntries in, JsonEntries entry) {
        NetworkModel.ElementType type = entry.choice("type", NetworkModel.ElementType.class);
        entry.allow(type.members());
        String id = entry.text("id", LONGEST_NAME);
        String from = entry.text("from", LONGEST_NAME);
        String to = entry.text("to", LONGEST_NAME);
        if (from.equals(to)) {
            entry.fault("to", "CONTRADICTS", "must be another node than from");
            return null;
        }
        Branch branch = new Branch(id, from, to);
        Element element = switch (type) {
            case RESISTOR -> new Element.Resistor(branch, entry.number("ohm", Element.OHM, 1));
            case RESISTIVE_LOAD -> new Element.ResistiveLoad(branch, entry.number("ohm", Element.OHM, 1));
            case WIRE -> wire(entry, branch);
            case SOURCE ->
                new Element.Source(branch, entry.number("openV", Element.VOLT, 1), entry.number("ohm", Element.OHM, 1));
            case LIMITED_SOURCE ->
                new Element.LimitedSource(
                        branch,
                        entry.number("setV", Element.VOLT, 1),
                        entry.number("ohm", Element.OHM, 1),
                        entry.number("maxA", MOST_A, 1));
            case CURRENT_LOAD -> new Element.CurrentLoad(branch, entry.number("currentA", Element.LOAD, 1));
            case POWER_LOAD -> new Element.PowerLoad(branch, entry.number("powerW", Element.LOAD, 1));
        };
        return in.clean() ? element : null;
    }

    private static Element wire(JsonEntries entry, Branch branch) {
        double ohm = entry.number("ohmAt20", Element.OHM, 1);
        double ambientC = entry.number("ambientC", TEMPERATURE_C, 20);
        double maxC = entry.number("maxC", TEMPERATURE_C, 400);
        double ampacityA = entry.number("ampacityA", AMPACITY_A, 1);
        if (maxC < ambientC) {
            entry.fault("maxC", "CONTRADICTS", "must be at least ambientC");
        }
        return new Element.Wire(branch, ohm, new Warmth(ambientC, Math.max(ambientC, maxC), ampacityA));
    }

    @Operation(summary = "Solve and size what a job holds")
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = NetworkModel.JobAnswer.class)))
    @ApiResponse(responseCode = "404", description = "no such job")
    @KeepsNothing
    @PostMapping("/jobs/{id}/solve")
    NetworkModel.JobAnswer solve(@PathVariable long id) {
        return NetworkModel.JobAnswer.of(works.of(id));
    }

    @Operation(summary = "The verdicts of a job: of each cable with all findings, of all else, of the whole")
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = WorkedModel.WorkedAnswer.class)))
    @ApiResponse(responseCode = "404", description = "no such job")
    @GetMapping("/jobs/{id}/worked")
    WorkedModel.WorkedAnswer worked(@PathVariable long id) {
        return WorkedModel.WorkedAnswer.of(works.of(id));
    }
}
