package app.chervil.server.web;

import app.chervil.server.problem.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses who calls the server by a name that is not its own, as a page of a stranger does that had its name lead here, and
 * who comes from elsewhere without encryption.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class HouseGate extends OncePerRequestFilter {
    private final Reached reached;

    HouseGate(Reached reached) {
        this.reached = reached;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!reached.by(String.valueOf(request.getServerName()))) {
            Problems.write(
                    response, HttpStatus.MISDIRECTED_REQUEST, "wrong-name", "This server does not go by that name.");
        } else if (!request.isSecure() && !Reached.fromHere(request.getRemoteAddr())) {
            Problems.write(
                    response, HttpStatus.UPGRADE_REQUIRED, "not-encrypted", "Come by https, from wherever you are.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
