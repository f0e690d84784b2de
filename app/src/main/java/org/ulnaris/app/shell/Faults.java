package org.ulnaris.app.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;

/** Pages for what can't be answered. */
@ControllerAdvice
class Faults {
    private static final Logger LOG = LoggerFactory.getLogger(Faults.class);

    @ExceptionHandler(NotFoundException.class)
    ModelAndView notFound(HttpServletRequest request) {
        return page(HttpStatus.NOT_FOUND, "NOT_FOUND", request);
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    ModelAndView tooLarge(HttpServletRequest request) {
        return page(HttpStatus.CONTENT_TOO_LARGE, "TOO_LARGE", request);
    }

    @ExceptionHandler({
        MethodArgumentTypeMismatchException.class,
        MissingServletRequestParameterException.class,
        MissingServletRequestPartException.class,
        MultipartException.class
    })
    ModelAndView badRequest(Exception problem, HttpServletRequest request) {
        LOG.debug("bad request to {}", request.getRequestURI(), problem);
        return page(HttpStatus.BAD_REQUEST, "BAD_REQUEST", request);
    }

    /** Two people saved the same thing, or gave the same tag, in the same instant. */
    @ExceptionHandler({OptimisticLockingFailureException.class, DataIntegrityViolationException.class})
    ModelAndView stale(HttpServletRequest request) {
        return page(HttpStatus.CONFLICT, "STALE", request);
    }

    static ModelAndView page(HttpStatus status, String code, HttpServletRequest request) {
        return new ModelAndView(
                "shell/fault",
                Map.of("code", code, "path", request.getRequestURI(), "shopName", "", "demo", false, "build", ""),
                status);
    }
}
