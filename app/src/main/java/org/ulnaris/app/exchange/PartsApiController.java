package org.ulnaris.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.crib.DieDetails;
import org.ulnaris.app.crib.ToolDetails;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.ContactStock;
import org.ulnaris.app.stock.EnteredContact;
import org.ulnaris.app.stock.EnteredLug;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.termination.Lug;

/** Catalogue and crib for programs, read and write. A request that changes something carries the token of {@code GET /api/v1/token}. */
@RestController
@RequestMapping(
        path = "/api/v1",
        produces = {MediaType.APPLICATION_JSON_VALUE, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
class PartsApiController {
    private static final FormMembers<EnteredLug> LUG = new FormMembers<>(EnteredLug.FIELDS);
    private static final FormMembers<EnteredContact> CONTACT = new FormMembers<>(EnteredContact.FIELDS);
    private static final FormMembers<DieDetails> DIE = new FormMembers<>(DieDetails.FIELDS);
    private static final FormMembers<ToolDetails> TOOL = new FormMembers<>(ToolDetails.FIELDS);
    private static final int LONGEST_BODY = 20_000;

    private final LugStock lugs;
    private final ContactStock contacts;
    private final Shelf shelf;
    private final CribService crib;
    private final Words words;

    PartsApiController(LugStock lugs, ContactStock contacts, Shelf shelf, CribService crib, Words words) {
        this.lugs = lugs;
        this.contacts = contacts;
        this.shelf = shelf;
        this.crib = crib;
        this.words = words;
    }

    @Operation(
            summary = "The token that a request that changes something must carry, together with the cookie set here")
    @GetMapping("/token")
    PartsModel.Token token(@Parameter(hidden = true) CsrfToken token) {
        return new PartsModel.Token(token.getHeaderName(), token.getToken());
    }

    @Operation(summary = "All lugs, measured ones first")
    @GetMapping("/lugs")
    List<PartsModel.LugPart> lugs() {
        Map<String, Integer> counted = shelf.ends();
        return lugs.all().stream()
                .map(lug -> PartsModel.LugPart.of(lug, counted))
                .toList();
    }

    @Operation(
            summary = "Add a lug; forSize and onShelf are not taken",
            requestBody = @RequestBody(content = @Content(schema = @Schema(implementation = PartsModel.LugPart.class))))
    @ApiResponse(responseCode = "201", content = @Content(schema = @Schema(implementation = PartsModel.LugPart.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @PostMapping(path = "/lugs", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> addLug(
            @org.springframework.web.bind.annotation.RequestBody(required = false) @Nullable String body) {
        JsonEntries in = json(body);
        Entries entries = LUG.entries(in);
        Optional<Lug> lug = in.clean() ? lugs.read(entries) : Optional.empty();
        if (lug.isEmpty()) {
            return ApiController.refuse(LUG.problems(in, entries, words));
        }
        lugs.add(lug.get());
        return created(PartsModel.LugPart.of(lug.get(), Map.of()));
    }

    @Operation(summary = "Remove a lug that was measured")
    @DeleteMapping("/lugs")
    ResponseEntity<Void> removeLug(@RequestParam String code) {
        return removed(lugs.remove(code).isPresent(), "lug " + code);
    }

    @Operation(summary = "All contacts, terminals, splices and ferrules, entered ones first")
    @GetMapping("/contacts")
    List<PartsModel.ContactPart> contacts() {
        Map<String, Integer> counted = shelf.ends();
        return contacts.all().stream()
                .map(contact -> PartsModel.ContactPart.of(contact, counted))
                .toList();
    }

    @Operation(
            summary = "Add a contact; onShelf is not taken",
            requestBody =
                    @RequestBody(content = @Content(schema = @Schema(implementation = PartsModel.ContactPart.class))))
    @ApiResponse(
            responseCode = "201",
            content = @Content(schema = @Schema(implementation = PartsModel.ContactPart.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @PostMapping(path = "/contacts", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> addContact(
            @org.springframework.web.bind.annotation.RequestBody(required = false) @Nullable String body) {
        JsonEntries in = json(body);
        Entries entries = CONTACT.entries(in);
        Optional<Contact> contact = in.clean() ? contacts.read(entries) : Optional.empty();
        if (contact.isEmpty()) {
            return ApiController.refuse(CONTACT.problems(in, entries, words));
        }
        contacts.add(contact.get());
        return created(PartsModel.ContactPart.of(contact.get(), Map.of()));
    }

    @Operation(summary = "Remove a contact that was entered")
    @DeleteMapping("/contacts")
    ResponseEntity<Void> removeContact(@RequestParam String code) {
        return removed(contacts.remove(code).isPresent(), "contact " + code);
    }

    @Operation(summary = "Dies with the tool that each is in, and tools")
    @GetMapping("/crib")
    PartsModel.Crib crib() {
        return new PartsModel.Crib(
                crib.all().stream().map(PartsModel.DiePart::of).toList(),
                crib.tools().stream().map(PartsModel.ToolPart::of).toList());
    }

    @Operation(
            summary = "Add dies; they begin in the box",
            requestBody = @RequestBody(content = @Content(schema = @Schema(implementation = PartsModel.DiePart.class))))
    @ApiResponse(responseCode = "201", content = @Content(schema = @Schema(implementation = PartsModel.DiePart.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @PostMapping(path = "/crib/dies", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> addDies(
            @org.springframework.web.bind.annotation.RequestBody(required = false) @Nullable String body) {
        JsonEntries in = json(body);
        Entries entries = DIE.entries(in);
        Optional<DieDetails> dies = in.clean() ? crib.readDie(entries) : Optional.empty();
        if (dies.isEmpty()) {
            return ApiController.refuse(DIE.problems(in, entries, words));
        }
        crib.add(dies.get());
        return created(PartsModel.DiePart.of(new CribService.Kept(dies.get(), null)));
    }

    @Operation(summary = "Remove dies")
    @DeleteMapping("/crib/dies")
    ResponseEntity<Void> removeDies(@RequestParam String tag) {
        return removed(crib.remove(tag).isPresent(), "dies " + tag);
    }

    @Operation(
            summary = "Put dies into a tool, or without a tool back into the box",
            requestBody = @RequestBody(content = @Content(schema = @Schema(implementation = PartsModel.Place.class))))
    @ApiResponse(responseCode = "204")
    @ApiResponse(responseCode = "404", description = "no such dies, no such tool, or no jaw for them")
    @PutMapping(path = "/crib/place", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> place(
            @org.springframework.web.bind.annotation.RequestBody(required = false) @Nullable String body) {
        JsonEntries in = json(body);
        in.allow("tag", "tool");
        String tag = in.text("tag", DieDetails.LONGEST_TAG);
        String tool = in.optionalText("tool", ToolDetails.LONGEST_TAG);
        if (!in.clean()) {
            return ApiController.refuse(in.problems());
        }
        if (tool.isEmpty()) {
            crib.box(tag);
        } else {
            crib.fit(tag, tool);
        }
        return ResponseEntity.noContent().build();
    }

    @Operation(
            summary = "Add a tool",
            requestBody =
                    @RequestBody(content = @Content(schema = @Schema(implementation = PartsModel.ToolPart.class))))
    @ApiResponse(responseCode = "201", content = @Content(schema = @Schema(implementation = PartsModel.ToolPart.class)))
    @ApiResponse(responseCode = "400", description = "problem document (RFC 9457) that lists every fault")
    @PostMapping(path = "/crib/tools", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> addTool(
            @org.springframework.web.bind.annotation.RequestBody(required = false) @Nullable String body) {
        JsonEntries in = json(body);
        Entries entries = TOOL.entries(in);
        Optional<ToolDetails> tool = in.clean() ? crib.readTool(entries) : Optional.empty();
        if (tool.isEmpty()) {
            return ApiController.refuse(TOOL.problems(in, entries, words));
        }
        crib.addTool(tool.get());
        return created(PartsModel.ToolPart.of(tool.get()));
    }

    @Operation(summary = "Remove a tool; its dies go back into the box")
    @DeleteMapping("/crib/tools")
    ResponseEntity<Void> removeTool(@RequestParam String tag) {
        return removed(crib.removeTool(tag).isPresent(), "tool " + tag);
    }

    private static JsonEntries json(@Nullable String body) {
        return new JsonEntries(ApiController.parse(body, LONGEST_BODY));
    }

    private static ResponseEntity<?> created(Object part) {
        return ResponseEntity.status(HttpStatus.CREATED).body(part);
    }

    private static ResponseEntity<Void> removed(boolean removed, String what) {
        if (!removed) {
            throw new NotFoundException(what);
        }
        return ResponseEntity.noContent().build();
    }
}
