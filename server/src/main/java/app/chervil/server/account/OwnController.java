package app.chervil.server.account;

import app.chervil.server.account.SiteOperations.Asking;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A person's own password, sessions and sites. */
@RestController
@RequestMapping("/api")
class OwnController {
    private final SiteOperations operations;
    private final SignInDesk desk;

    OwnController(SiteOperations operations, SignInDesk desk) {
        this.operations = operations;
        this.desk = desk;
    }

    @PutMapping("/own/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody PasswordChange input,
            HttpServletRequest request) {
        operations.changePassword(
                who, input.present(), input.wanted(), new Asking(sessionOf(request), request.getRemoteAddr()));
    }

    @GetMapping("/own/sessions")
    List<Sessions.OpenSession> sessions(@AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
        return operations.sessions(who, sessionOf(request));
    }

    @DeleteMapping("/own/sessions/{mark}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@AuthenticationPrincipal SignedIn who, @PathVariable String mark) {
        operations.endSession(who, mark);
    }

    /** Founds another site and goes there. */
    @PostMapping("/own/sites")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void found(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody NewSite input,
            HttpServletRequest request,
            HttpServletResponse response) {
        desk.admit(operations.found(who, input.name()), request, response);
    }

    @PostMapping("/own/sites/{site}/return")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringBack(@AuthenticationPrincipal SignedIn who, @PathVariable long site) {
        operations.bringBack(who, site);
    }

    /** Leaves the site; goes to another of the person's, or out. */
    @DeleteMapping("/own/place")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@AuthenticationPrincipal SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        Optional<SignedIn> then = operations.leave(who);
        desk.dismiss(request, response);
        then.ifPresent(there -> desk.admit(there, request, response));
    }

    @PostMapping("/site/deletion")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteSite(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody NewSite input) {
        operations.delete(who, input.name());
    }

    private static String sessionOf(HttpServletRequest request) {
        return request.getSession().getId();
    }

    record PasswordChange(
            @NotBlank(message = "Type your present password.") @Size(max = 200, message = "At most 200 characters.")
            String present,

            @FitPassword String wanted) {}

    record NewSite(
            @NotBlank(message = "Name the site.")
            @Size(max = 80, message = "At most 80 characters.")
            @Pattern(regexp = NewAccount.TO_BE_SEEN, message = "This holds characters that cannot be seen.")
            String name) {}
}
