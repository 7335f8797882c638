package app.chervil.server.account;

import app.chervil.server.problem.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.csrf.CsrfException;

/** What is said to who may not, as a problem document like every other refusal. */
final class Refusals {
    private Refusals() {}

    static void nobody(HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
            throws IOException {
        Problems.write(response, HttpStatus.UNAUTHORIZED, "not-signed-in", "Sign in first.");
    }

    static void denied(HttpServletRequest request, HttpServletResponse response, AccessDeniedException why)
            throws IOException {
        if (why instanceof CsrfException) {
            Problems.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    "no-token",
                    "This did not come from Chervil’s own pages. Reload, then try again.");
            return;
        }
        Right right = Rights.of(request).map(Rights.Claim::right).orElse(null);
        if (right == null) {
            Problems.write(response, HttpStatus.NOT_FOUND, "no-such-operation", "There is nothing at this address.");
        } else if (right.least() == Right.Least.KEEPER) {
            Problems.write(response, HttpStatus.FORBIDDEN, "keeper-only", "Only a keeper may do this.");
        } else if (right.least() == Right.Least.AUTHOR) {
            Problems.write(
                    response, HttpStatus.FORBIDDEN, "author-only", "Only who wrote this, or a keeper, may do that.");
        } else {
            Problems.write(
                    response, HttpStatus.FORBIDDEN, "viewer", "You can look at everything here, but not change it.");
        }
    }
}
