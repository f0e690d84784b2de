package org.ulnaris.app.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What no handler could answer. */
@Controller
class LastResort implements ErrorController {
    @RequestMapping("/error")
    Object error(HttpServletRequest request) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
        HttpStatus known = status == null ? HttpStatus.NOT_FOUND : status;
        String path = String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI));
        return Faults.answer(known, known.getReasonPhrase(), path, request);
    }
}
