package org.ulnaris.app.shell;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What every page shows: the shop's name, and whether it is the demonstration. */
@ControllerAdvice
class Shell {
    private final String shopName;
    private final boolean demo;

    Shell(@Value("${ulnaris.shop}") String shopName, @Value("${ulnaris.demo}") boolean demo) {
        this.shopName = shopName;
        this.demo = demo;
    }

    @ModelAttribute
    void frame(Model model, HttpServletRequest request) {
        model.addAttribute("shopName", shopName);
        model.addAttribute("demo", demo);
        model.addAttribute("path", request.getRequestURI());
    }
}
