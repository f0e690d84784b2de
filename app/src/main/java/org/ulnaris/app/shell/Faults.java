package org.ulnaris.app.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;

/** What can't be answered: a page for people, a problem document (RFC 9457) for programs. */
@ControllerAdvice
class Faults {
    private static final Logger LOG = LoggerFactory.getLogger(Faults.class);
    private static final String PROGRAMS = "/api/";
    /** Attribute of a request that was refused because its job is archived: the job's id. */
    private static final String ARCHIVED_JOB = "archivedJob";

    private final Set<Long> told = ConcurrentHashMap.newKeySet();
    private final Room room;

    Faults(Room room) {
        this.room = room;
    }

    @ExceptionHandler(NotFoundException.class)
    Object notFound(NotFoundException missing, HttpServletRequest request) {
        return answer(HttpStatus.NOT_FOUND, "not here: " + missing.getMessage(), request);
    }

    /** Told once: the same job is asked for by every page. */
    @ExceptionHandler(BrokenJobException.class)
    Object broken(BrokenJobException broken, HttpServletRequest request) {
        if (told.add(broken.jobId())) {
            LOG.error("job {} can't be worked out", broken.jobId(), broken);
        }
        return answer(
                HttpStatus.UNPROCESSABLE_CONTENT, "this job can't be worked out: " + broken.getMessage(), request);
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    Object tooLarge(HttpServletRequest request) {
        return answer(HttpStatus.CONTENT_TOO_LARGE, "the file is too large", request);
    }

    /** In an address what is no number is not here. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    Object mismatch(MethodArgumentTypeMismatchException problem, HttpServletRequest request) {
        boolean address = problem.getParameter().hasParameterAnnotation(PathVariable.class);
        return address
                ? answer(HttpStatus.NOT_FOUND, "not here", request)
                : answer(HttpStatus.BAD_REQUEST, "can't be read: " + problem.getName(), request);
    }

    @ExceptionHandler(MissingServletRequestParameterException.class)
    Object missing(MissingServletRequestParameterException problem, HttpServletRequest request) {
        return answer(HttpStatus.BAD_REQUEST, "missing: " + problem.getParameterName(), request);
    }

    @ExceptionHandler({MissingServletRequestPartException.class, MultipartException.class})
    Object badRequest(Exception problem, HttpServletRequest request) {
        LOG.debug("bad request to {}", request.getRequestURI(), problem);
        return answer(HttpStatus.BAD_REQUEST, "no sound form", request);
    }

    @ExceptionHandler(ArchivedException.class)
    Object archived(ArchivedException archived, HttpServletRequest request) {
        request.setAttribute(ARCHIVED_JOB, archived.jobId());
        return answer(HttpStatus.LOCKED, String.valueOf(archived.getMessage()), request);
    }

    /** Nothing is lost: what was refused was not acknowledged. The log is told by {@link Room}, once in a while. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    Object unkept(RuntimeException problem, HttpServletRequest request) {
        if (NestedExceptionUtils.getMostSpecificCause(problem) instanceof ArchivedException archived) {
            return archived(archived, request);
        }
        if (!room.isFull(problem)) {
            throw problem;
        }
        return answer(
                HttpStatus.INSUFFICIENT_STORAGE, "the disk is full: nothing is kept until there is room", request);
    }

    /** Two people saved the same thing, or gave the same tag, in the same instant. */
    @ExceptionHandler({OptimisticLockingFailureException.class, DataIntegrityViolationException.class})
    Object stale(HttpServletRequest request) {
        return answer(HttpStatus.CONFLICT, "someone else saved this in the same moment", request);
    }

    /** The answer of {@code status} to whoever asked. */
    static Object answer(HttpStatus status, String detail, HttpServletRequest request) {
        return answer(status, detail, request.getRequestURI(), request);
    }

    /** The same for what was asked for at {@code path}. */
    static Object answer(HttpStatus status, String detail, String path, HttpServletRequest request) {
        if (path.startsWith(PROGRAMS)) {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
            problem.setProperties(Map.of("errors", List.of()));
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(problem);
        }
        return new ModelAndView(
                "shell/fault",
                Map.of(
                        "detail",
                        detail,
                        "code",
                        code(status),
                        "path",
                        request.getRequestURI(),
                        "shopName",
                        "",
                        "demo",
                        false,
                        "build",
                        ""),
                status);
    }

    private static String code(HttpStatus status) {
        return switch (status) {
            case NOT_FOUND -> "NOT_FOUND";
            case CONTENT_TOO_LARGE -> "TOO_LARGE";
            case FORBIDDEN -> "EXPIRED";
            case CONFLICT -> "STALE";
            case LOCKED -> "ARCHIVED";
            case INSUFFICIENT_STORAGE -> "FULL";
            case UNPROCESSABLE_CONTENT -> "BROKEN";
            case INTERNAL_SERVER_ERROR -> "OURS";
            default -> "BAD_REQUEST";
        };
    }
}
