package org.ulnaris.app.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container could not answer: a page for people, a problem document (RFC 9457) for programs. */
@Controller
class LastResort implements ErrorController {
    @RequestMapping("/error")
    Object error(HttpServletRequest request) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
        HttpStatus known = status == null ? HttpStatus.NOT_FOUND : status;
        String path = String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI));
        if (path.startsWith("/api/")) {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(known, known.getReasonPhrase());
            problem.setProperties(Map.of("errors", List.of()));
            return ResponseEntity.status(known)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(problem);
        }
        return Faults.page(known, codeOf(known), request);
    }

    private static String codeOf(HttpStatus status) {
        return switch (status) {
            case NOT_FOUND -> "NOT_FOUND";
            case CONTENT_TOO_LARGE -> "TOO_LARGE";
            case FORBIDDEN -> "EXPIRED";
            case INTERNAL_SERVER_ERROR -> "OURS";
            default -> "BAD_REQUEST";
        };
    }
}
