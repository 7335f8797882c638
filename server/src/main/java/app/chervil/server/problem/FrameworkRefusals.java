package app.chervil.server.problem;

import app.chervil.server.problem.Rejected.Violation;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Refusals of the framework itself, such as a body of the wrong kind, with a code like all others. */
@RestControllerAdvice
@Order(Ordered.LOWEST_PRECEDENCE)
class FrameworkRefusals extends ResponseEntityExceptionHandler {
    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception refusal, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        @Nullable
        ResponseEntity<Object> answer = super.handleExceptionInternal(refusal, body, headers, status, request);
        if (answer != null && answer.getBody() instanceof ProblemDetail problem) {
            @Nullable HttpStatus known = HttpStatus.resolve(status.value());
            problem.setProperty(
                    "code",
                    known == null
                            ? "refused"
                            : known.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            if (refusal instanceof MissingServletRequestParameterException missing) {
                problem.setDetail("Say which.");
                problem.setProperty(
                        "errors", List.of(new Violation(missing.getParameterName(), "missing", "Say which.")));
            }
        }
        return answer;
    }
}
