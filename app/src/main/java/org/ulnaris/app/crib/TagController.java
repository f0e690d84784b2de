package org.ulnaris.app.crib;

import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.shell.NotFoundException;

/** Printed tags of dies. */
@Controller
class TagController {
    private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");

    private final CribService crib;
    private final TagSheet sheet;

    TagController(CribService crib, TagSheet sheet) {
        this.crib = crib;
        this.sheet = sheet;
    }

    /** All tags, or those named; the codes lead to the address under which this page was asked for. */
    @GetMapping("/crib/tags.pdf")
    ResponseEntity<byte[]> tags(@RequestParam MultiValueMap<String, String> asked) {
        List<String> tag = asked.getOrDefault("tag", List.of());
        List<DieDetails> dies = crib.all().stream()
                .map(CribService.Kept::details)
                .filter(die -> tag.isEmpty() || tag.contains(die.tag()))
                .toList();
        if (dies.isEmpty()) {
            throw new NotFoundException("tags");
        }
        String base = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, inline("die-tags.pdf"))
                .body(sheet.print(dies, base));
    }

    /** The outline of a pair of dies at one to one. */
    @GetMapping("/crib/outline.svg")
    ResponseEntity<String> outline(@RequestParam String tag) {
        DieDetails die =
                crib.find(tag).map(CribService.Kept::details).orElseThrow(() -> new NotFoundException("dies " + tag));
        return ResponseEntity.ok()
                .contentType(SVG)
                .header(HttpHeaders.CONTENT_DISPOSITION, inline("outline.svg"))
                .body(DieDrawer.outline(die.die(), die.tag()).atScale());
    }

    private static String inline(String name) {
        return ContentDisposition.inline().filename(name).build().toString();
    }
}
