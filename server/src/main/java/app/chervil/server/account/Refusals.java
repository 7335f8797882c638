package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.csrf.CsrfException;

/** What is said to who may not, as a problem document like every other refusal. */
final class Refusals {
    private Refusals() {}

    static void nobody(HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
            throws IOException {
        say(response, HttpStatus.UNAUTHORIZED, "not-signed-in", "Sign in first.");
    }

    static void denied(HttpServletRequest request, HttpServletResponse response, AccessDeniedException why)
            throws IOException {
        if (why instanceof CsrfException) {
            say(
                    response,
                    HttpStatus.FORBIDDEN,
                    "no-token",
                    "This did not come from Chervil’s own pages. Reload, then try again.");
            return;
        }
        Right right = Rights.of(request).map(Rights.Claim::right).orElse(null);
        if (right == null) {
            say(response, HttpStatus.NOT_FOUND, "no-such-operation", "There is nothing at this address.");
        } else if (right.least() == Right.Least.KEEPER) {
            say(response, HttpStatus.FORBIDDEN, "keeper-only", "Only a keeper may do this.");
        } else if (right.least() == Right.Least.AUTHOR) {
            say(response, HttpStatus.FORBIDDEN, "author-only", "Only who wrote this, or a keeper, may do that.");
        } else {
            say(response, HttpStatus.FORBIDDEN, "viewer", "You can look at everything here, but not change it.");
        }
    }

    private static void say(HttpServletResponse response, HttpStatus status, String code, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write("{\"status\":%d,\"code\":\"%s\",\"detail\":\"%s\"}".formatted(status.value(), code, detail));
    }
}
