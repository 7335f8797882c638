package app.chervil.server.problem;

import app.chervil.server.problem.Rejected.Violation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;

/** The one place where refusals become problem documents. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ProblemAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ProblemDetail notFound(NotFound refusal) {
        return problem(HttpStatus.NOT_FOUND, refusal.code(), String.valueOf(refusal.getMessage()), List.of());
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict refusal) {
        ProblemDetail problem =
                problem(HttpStatus.CONFLICT, "changed-meanwhile", String.valueOf(refusal.getMessage()), List.of());
        problem.setProperty("current", refusal.current());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail rejected(Rejected refusal) {
        Violation first = refusal.violations().get(0);
        return problem(refusal.status(), first.code(), first.message(), refusal.violations());
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        List<Violation> violations = invalid.getBindingResult().getFieldErrors().stream()
                .map(ProblemAdvice::violation)
                .toList();
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid-input", "Some fields need another look.", violations);
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
        if (unreadable.getCause() instanceof JacksonException cause
                && !cause.getPath().isEmpty()) {
            String field = path(cause);
            Violation violation = new Violation(field, "not-understood", whyNot(cause));
            return problem(HttpStatus.BAD_REQUEST, "not-understood", violation.message(), List.of(violation));
        }
        return problem(HttpStatus.BAD_REQUEST, "not-understood", "The request could not be understood.", List.of());
    }

    private static String whyNot(JacksonException cause) {
        boolean day = cause instanceof InvalidFormatException invalid
                && (invalid.getTargetType() == LocalDate.class || invalid.getTargetType() == Instant.class);
        return day ? "Choose a day from 1950 to 2100." : "This value could not be understood.";
    }

    /** What the database refused was asked for twice at once, or refers to what has just gone. */
    @ExceptionHandler
    ProblemDetail refusedByDatabase(DataIntegrityViolationException refused) {
        LOG.warn("Not stored", refused);
        return problem(
                HttpStatus.CONFLICT,
                "not-stored",
                "This could not be stored as it is. Reload, then try again.",
                List.of());
    }

    /** An id that is no id names nothing; anything else after the question mark is a slip. */
    @ExceptionHandler
    ProblemDetail mistyped(MethodArgumentTypeMismatchException mistyped) {
        if (mistyped.getParameter().hasParameterAnnotation(RequestParam.class)) {
            Violation violation =
                    new Violation(mistyped.getName(), "not-understood", "This value could not be understood.");
            return problem(HttpStatus.BAD_REQUEST, "not-understood", violation.message(), List.of(violation));
        }
        return problem(
                HttpStatus.NOT_FOUND, mistyped.getName() + "-not-found", "There is nothing by that id.", List.of());
    }

    private static Violation violation(FieldError error) {
        String code = String.valueOf(error.getCode())
                .replaceAll("([a-z])([A-Z])", "$1-$2")
                .toLowerCase(Locale.ROOT);
        return new Violation(error.getField(), code, String.valueOf(error.getDefaultMessage()));
    }

    private static String path(JacksonException cause) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : cause.getPath()) {
            if (step.getPropertyName() == null) {
                path.append('[').append(step.getIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            }
        }
        return path.toString();
    }

    private static ProblemDetail problem(HttpStatus status, String code, String detail, List<Violation> violations) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setProperty("code", code);
        if (!violations.isEmpty()) {
            problem.setProperty("errors", violations);
        }
        return problem;
    }
}
