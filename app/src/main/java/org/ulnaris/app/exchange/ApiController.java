package org.ulnaris.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.ulnaris.app.rules.RulesService;
import org.ulnaris.app.shell.KeepsNothing;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.TerminalLimit;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The same computation for programs. */
@RestController
@RequestMapping(
        path = "/api/v1",
        produces = {MediaType.APPLICATION_JSON_VALUE, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
class ApiController {
    private static final int LONGEST_BODY = 20_000;
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private final RulesService rules;

    ApiController(RulesService rules) {
        this.rules = rules;
    }

    @Operation(
            summary = "Size a cable: every size of the series against every check",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content = @Content(schema = @Schema(implementation = ApiModel.SizingRequest.class))))
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = ApiModel.SizingAnswer.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @KeepsNothing
    @PostMapping(path = "/sizing", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> sizing(@RequestBody(required = false) @Nullable String body) {
        JsonEntries in = new JsonEntries(parse(body));
        in.allow(
                "currentA",
                "oneWayLengthM",
                "systemVoltageV",
                "maxDropPercent",
                "insulationTempC",
                "ambientC",
                "engineSpace",
                "bundledConductors",
                "ruleSet",
                "sizeSeries",
                "tinned",
                "strands",
                "terminalTempC",
                "conduit",
                "walled");
        CableDemand.Load load = new CableDemand.Load(
                in.number("currentA", CableDemand.Load.CURRENT_A, 1),
                in.number("oneWayLengthM", CableDemand.Load.ONE_WAY_LENGTH_M, 1),
                in.number("systemVoltageV", CableDemand.Load.SYSTEM_VOLTAGE_V, 12),
                in.number("maxDropPercent", CableDemand.Load.MAX_DROP_PERCENT, 3));
        AmpacityConditions conditions = new AmpacityConditions(
                in.number("insulationTempC", AmpacityConditions.INSULATION_TEMP_C, 105),
                in.number("ambientC", AmpacityConditions.AMBIENT_C, 30),
                in.optionalFlag("engineSpace"),
                in.optionalCount("bundledConductors", AmpacityConditions.BUNDLED, 1),
                in.optionalFlag("conduit"),
                in.optionalFlag("walled"));
        double terminalC = in.optionalNumber("terminalTempC", TerminalLimit.LIMIT_C, Double.NaN);
        RuleSet ruleSet = in.choice("ruleSet", RuleSet.class);
        HouseRules house = rules.rules().house();
        CableDemand demand = new CableDemand(
                load,
                conditions,
                TerminalLimit.of(
                                terminalC > 0 ? OptionalDouble.of(terminalC) : OptionalDouble.empty(),
                                ruleSet,
                                house.terminalC())
                        .orElse(null),
                ruleSet,
                in.choice("sizeSeries", SizeSeries.class),
                strands(in),
                house.sizes(),
                null);
        return in.clean()
                ? ResponseEntity.ok(ApiModel.SizingAnswer.of(CableSizer.size(demand)))
                : refuse(in.problems());
    }

    /** What the strands are made of; {@code tinned} is the older way to say it of copper. */
    static ConductorMetal strands(JsonEntries in) {
        return in.optionalChoice("strands", ConductorMetal.class, ConductorMetal.copper(in.optionalFlag("tinned")));
    }

    @Operation(
            summary = "Judge a crimp: conductor, barrel and dies",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content = @Content(schema = @Schema(implementation = ApiModel.CrimpRequest.class))))
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = ApiModel.CrimpAnswer.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @KeepsNothing
    @PostMapping(path = "/crimp", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> crimp(@RequestBody(required = false) @Nullable String body) {
        JsonEntries in = new JsonEntries(parse(body));
        in.allow("conductor", "lug", "die");
        JsonEntries conductor = in.object("conductor");
        JsonEntries lug = in.object("lug");
        JsonEntries die = in.object("die");
        conductor.allow("areaMm2");
        lug.allow("material", "barrelOdMm", "boreIdMm", "barrelDepthMm");
        die.allow("shape", "acrossFlatsMm", "widthMm");
        double area = conductor.number("areaMm2", Crimp.CONDUCTOR_AREA_MM2, 1);
        LugMaterial material = lug.choice("material", LugMaterial.class);
        double outer = lug.number("barrelOdMm", Barrel.OUTER_MM, 10);
        double bore = lug.number("boreIdMm", Barrel.BORE_MM, 5);
        double depth = lug.number("barrelDepthMm", Barrel.DEPTH_MM, 20);
        DieShape shape = die.choice("shape", DieShape.class);
        double flats = die.number("acrossFlatsMm", Die.ACROSS_FLATS_MM, 10);
        double width = die.number("widthMm", Die.WIDTH_MM, 5);
        if (in.clean() && bore >= outer) {
            lug.fault("boreIdMm", "CONTRADICTS", "must be smaller than barrelOdMm");
        }
        if (!in.clean()) {
            return refuse(in.problems());
        }
        Crimp crimp =
                new Crimp(area, new Barrel(material, outer, bore, depth), new Die("", shape, flats, width, material));
        return ResponseEntity.ok(ApiModel.CrimpAnswer.of(crimp));
    }

    private static @Nullable JsonNode parse(@Nullable String body) {
        return parse(body, LONGEST_BODY);
    }

    /** The tree of {@code body}; null when it is none or too long. */
    static @Nullable JsonNode parse(@Nullable String body, int longest) {
        if (body == null || body.length() > longest) {
            return null;
        }
        try {
            return JSON.readTree(body);
        } catch (JacksonException e) {
            return null;
        }
    }

    /** A problem document with every fault. */
    static ResponseEntity<ProblemDetail> refuse(List<JsonEntries.Problem> problems) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST, problems.size() == 1 ? "1 fault" : problems.size() + " faults");
        problem.setTitle("The request can't be computed");
        problem.setProperty("errors", problems);
        return ResponseEntity.badRequest()
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
