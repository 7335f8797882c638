package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Puts a person into a session of their own, and takes them out again. */
@Component
class SignInDesk {
    private final SecurityContextRepository contexts;

    SignInDesk(SecurityContextRepository contexts) {
        this.contexts = contexts;
    }

    SignedIn admit(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        // A new session, not the old one under another id: a request still on its way would write the old id back.
        @Nullable HttpSession before = request.getSession(false);
        if (before != null) {
            before.invalidate();
        }
        Authentication admitted = UsernamePasswordAuthenticationToken.authenticated(who, null, List.of());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(admitted);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        Sessions.note(request);
        return who;
    }

    void dismiss(HttpServletRequest request, HttpServletResponse response) {
        @Nullable Authentication leaving = SecurityContextHolder.getContext().getAuthentication();
        new SecurityContextLogoutHandler().logout(request, response, leaving);
    }
}
