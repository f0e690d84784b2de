package org.ulnaris.app.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.zip.CRC32;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.ClassPathResource;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page shows: the shop's name, and whether it is the demonstration. */
@ControllerAdvice
class Shell {
    private final String shopName;
    private final boolean demo;
    private final String build;

    Shell(@Value("${ulnaris.shop}") String shopName, @Value("${ulnaris.demo}") boolean demo) {
        this.shopName = shopName;
        this.demo = demo;
        this.build = fingerprint();
    }

    /** Of the styles and scripts: a browser fetches them anew when they change. */
    private static String fingerprint() {
        CRC32 sum = new CRC32();
        for (String asset : List.of("css/app.css", "js/app.js", "js/theme.js")) {
            try (InputStream in = new ClassPathResource("static/" + asset).getInputStream()) {
                sum.update(in.readAllBytes());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return Long.toHexString(sum.getValue());
    }

    @ModelAttribute
    void frame(Model model, HttpServletRequest request) {
        model.addAttribute("shopName", shopName);
        model.addAttribute("demo", demo);
        model.addAttribute("build", build);
        model.addAttribute("path", request.getRequestURI());
    }
}
