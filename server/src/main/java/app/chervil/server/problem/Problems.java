package app.chervil.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** Problem documents of refusals that come before any operation was found. */
public final class Problems {
    private Problems() {}

    /** Refuses a request in the one form there is. */
    public static void write(HttpServletResponse response, HttpStatus status, String code, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write("{\"status\":%d,\"code\":\"%s\",\"detail\":\"%s\"}".formatted(status.value(), code, detail));
    }
}
