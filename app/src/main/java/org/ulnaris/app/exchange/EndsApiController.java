package org.ulnaris.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.shell.KeepsNothing;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.EndPlanner;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.Place;

/** What a cable may end with, for programs: ranked proposals from the shop's catalogue and crib. */
@RestController
@RequestMapping(
        path = "/api/v1",
        produces = {MediaType.APPLICATION_JSON_VALUE, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
class EndsApiController {
    private static final int LONGEST_BODY = 20_000;
    private static final int LONGEST_NAME = 24;
    private static final Range OUTER_MM = new Range(0, 100);
    private static final Range CURRENT_A = Range.from(0, 5000);
    private static final Range COUNT = new Range(0, LugForm.MOST_CONDUCTORS);
    private static final Range ANGLE_DEG = Range.from(0, 90);

    private final MatchService match;

    EndsApiController(MatchService match) {
        this.match = match;
    }

    @Operation(
            summary = "Propose what a cable ends with: parts, dies, tool, sleeve, with every finding",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content = @Content(schema = @Schema(implementation = EndsModel.EndRequest.class))))
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = EndsModel.EndAnswer.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @KeepsNothing
    @PostMapping(path = "/ends", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> ends(@RequestBody(required = false) @Nullable String body) {
        JsonEntries in = new JsonEntries(ApiController.parse(body, LONGEST_BODY));
        in.allow("conductor", "landing", "environment", "schools");
        JsonEntries schools = in.optionalObject("schools");
        schools.allow("family", "joined", "openTerminals", "fullStrokeOnly");
        Family family = schools.optionalChoice("family", Family.class, Family.TUBE_LUG);
        JoinMethod joined = schools.optionalChoice(
                "joined",
                JoinMethod.class,
                family == Family.SOLDER_SLEEVE ? JoinMethod.SOLDER_FILLED : JoinMethod.CRIMP);
        JsonEntries conductor = in.object("conductor");
        conductor.allow("size", "tinned", "strands", "outerMm", "count");
        ConductorSize size = size(conductor);
        CableGeometry cable = CableGeometry.of(
                new Conductor(size, ApiController.strands(conductor)), optional(conductor, "outerMm", OUTER_MM));
        int count = conductor.optionalCount("count", COUNT, 1);
        Landing landing =
                landing(family == Family.TUBE_LUG ? in.object("landing") : in.optionalObject("landing"), family);
        PlanInput.Circumstances circumstances = circumstances(in.optionalObject("environment"), schools);
        if (!in.clean()) {
            return ApiController.refuse(in.problems());
        }
        EndDemand.ContactWish wish = family == Family.TUBE_LUG
                ? null
                : new EndDemand.ContactWish(family, null, joined, ContactDemand.Mating.UNSAID);
        EndDemand demand = new EndDemand(landing, null, null, null, wish, count);
        PlanInput input =
                new PlanInput(cable, new PlanInput.Route(1000, 0, 0), demand, demand, match.shop(), circumstances);
        return ResponseEntity.ok(EndsModel.EndAnswer.of(EndPlanner.plan(Side.A, input)));
    }

    private static ConductorSize size(JsonEntries conductor) {
        String text = conductor.text("size", LONGEST_NAME);
        try {
            return ConductorSizes.parse(text, text.contains("mm") ? SizeSeries.METRIC : SizeSeries.AWG);
        } catch (MeasureException e) {
            if (conductor.has("size")) {
                conductor.fault("size", "UNKNOWN_SIZE", "expected a size, for example 70 mm² or 2/0 AWG");
            }
            return ConductorSizes.of(SizeSeries.METRIC).get(0);
        }
    }

    private static Landing landing(JsonEntries in, Family family) {
        in.allow(
                "stud",
                "clearWidthMm",
                "studLengthMm",
                "leaveDeg",
                "wallReachMm",
                "neighbourMm",
                "headroomMm",
                "secondStudMm",
                "angleDeg");
        Stud stud = Studs.all().get(0);
        if (family == Family.TUBE_LUG || in.has("stud")) {
            Optional<Stud> named = Studs.named(in.text("stud", LONGEST_NAME));
            if (named.isEmpty() && in.has("stud")) {
                in.fault(
                        "stud",
                        "UNKNOWN_CHOICE",
                        "expected one of "
                                + Studs.all().stream().map(Stud::name).collect(Collectors.joining(", ")));
            }
            stud = named.orElse(stud);
        }
        int angle = in.optionalCount("angleDeg", ANGLE_DEG, 0);
        return new Landing(
                stud,
                optional(in, "clearWidthMm", Landing.CLEAR_WIDTH_MM),
                optional(in, "studLengthMm", Landing.STUD_LENGTH_MM),
                new Landing.Around(
                        in.optionalNumber("leaveDeg", Landing.Around.LEAVE_DEG, 0),
                        optional(in, "wallReachMm", Landing.Around.WALL_REACH_MM),
                        optional(in, "neighbourMm", Landing.Around.NEIGHBOUR_MM),
                        optional(in, "headroomMm", Landing.Around.HEADROOM_MM),
                        optional(in, "secondStudMm", Landing.Around.SECOND_STUD_MM),
                        in.has("angleDeg") ? OptionalInt.of(angle) : OptionalInt.empty()));
    }

    private static PlanInput.Circumstances circumstances(JsonEntries in, JsonEntries schools) {
        in.allow("place", "currentA", "wireA");
        return new PlanInput.Circumstances(
                new ContactDemand.Load(
                        in.optionalNumber("currentA", CURRENT_A, 0), in.optionalNumber("wireA", CURRENT_A, 0)),
                in.optionalChoice("place", Place.class, Place.CABIN),
                !schools.optionalFlag("openTerminals"),
                schools.optionalFlag("fullStrokeOnly"),
                false);
    }

    private static OptionalDouble optional(JsonEntries in, String name, Range range) {
        double value = in.optionalNumber(name, range, Double.NaN);
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
