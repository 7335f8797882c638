package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Coming in and going out. */
@RestController
@RequestMapping("/api")
class SessionController {
    private final AccountOperations operations;
    private final SignInDesk desk;
    private final Optional<DemoDoor> demo;

    SessionController(AccountOperations operations, SignInDesk desk, Optional<DemoDoor> demo) {
        this.operations = operations;
        this.desk = desk;
        this.demo = demo;
    }

    @GetMapping("/session")
    Session current(@AuthenticationPrincipal @Nullable SignedIn who) {
        return session(who);
    }

    @PostMapping("/session")
    Session signIn(@Valid @RequestBody SignIn input, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = operations.signIn(input.login(), input.password(), request.getRemoteAddr());
        return session(desk.admit(who, request, response));
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        desk.dismiss(request, response);
    }

    @PostMapping("/setup")
    Session setUp(@Valid @RequestBody SetUp input, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = operations.setUp(input.code(), input.siteName(), input.keeper(), request.getRemoteAddr());
        return session(desk.admit(who, request, response));
    }

    @PutMapping("/units")
    SiteUnits chooseUnits(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody SiteUnits units) {
        return operations.chooseUnits(who, units);
    }

    private Session session(@Nullable SignedIn who) {
        List<DemoDoor.Entry> doors = demo.map(DemoDoor::entries).orElse(List.of());
        return who == null
                ? new Session(null, null, null, null, operations.needsSetup(), doors)
                : new Session(who.name(), operations.siteName(who), who.role(), operations.units(who), false, doors);
    }

    /**
     * Who is signed in, and how to come in if nobody is.
     *
     * @param name absent if nobody is signed in
     * @param needsSetup whether the keeper's account is still to be made
     * @param demoAccounts accounts that may be entered without a password; empty outside the demo
     */
    record Session(
            @Nullable String name,
            @Nullable String siteName,
            @Nullable Role role,
            @Nullable SiteUnits units,
            boolean needsSetup,
            List<DemoDoor.Entry> demoAccounts) {}

    record SignIn(
            @NotBlank(message = "Type your name.") @Size(max = 60, message = "At most 60 characters.")
            String login,

            @NotBlank(message = "Type your password.") @Size(max = 200, message = "At most 200 characters.")
            String password) {}

    record SetUp(
            @NotBlank(message = "Type the code that was printed.")
            String code,

            @NotBlank(message = "Name the site.") @Size(max = 80, message = "At most 80 characters.")
            String siteName,

            @Valid NewAccount keeper) {}
}
