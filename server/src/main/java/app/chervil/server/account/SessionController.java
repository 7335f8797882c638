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

/** Coming in, going over to another site, and going out. */
@RestController
@RequestMapping("/api")
class SessionController {
    private final AccountOperations accounts;
    private final SignInOperations signIns;
    private final PassOperations passes;
    private final SignInDesk desk;
    private final Optional<DemoDoor> demo;

    SessionController(
            AccountOperations accounts,
            SignInOperations signIns,
            PassOperations passes,
            SignInDesk desk,
            Optional<DemoDoor> demo) {
        this.accounts = accounts;
        this.signIns = signIns;
        this.passes = passes;
        this.desk = desk;
        this.demo = demo;
    }

    @GetMapping("/session")
    Session current(@AuthenticationPrincipal @Nullable SignedIn who) {
        return session(who);
    }

    @PostMapping("/session")
    Session signIn(@Valid @RequestBody SignIn input, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = signIns.signIn(input.login(), input.password(), request.getRemoteAddr());
        return session(desk.admit(who, request, response));
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        desk.dismiss(request, response);
    }

    @PutMapping("/session/site")
    Session goTo(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody Destination input,
            HttpServletRequest request,
            HttpServletResponse response) {
        return session(desk.admit(signIns.goTo(who, input.siteId()), request, response));
    }

    @PostMapping("/setup")
    Session setUp(@Valid @RequestBody SetUp input, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = signIns.setUp(input.code(), input.siteName(), input.keeper(), request.getRemoteAddr());
        return session(desk.admit(who, request, response));
    }

    @PostMapping("/invitation-look")
    PassOperations.Offer look(@Valid @RequestBody CodeInput input, HttpServletRequest request) {
        return passes.look(input.code(), request.getRemoteAddr());
    }

    /** Accepts an invitation: as the person who is signed in, or as the new one who is told of. */
    @PostMapping("/joining")
    Session join(
            @AuthenticationPrincipal @Nullable SignedIn who,
            @Valid @RequestBody Joining input,
            HttpServletRequest request,
            HttpServletResponse response) {
        String address = request.getRemoteAddr();
        NewAccount person = input.person();
        if (person != null) {
            return session(desk.admit(passes.join(input.code(), person, address), request, response));
        }
        if (who == null) {
            throw SignInOperations.refused("person", "missing", "Say who you are, or sign in first.");
        }
        return session(desk.admit(passes.join(input.code(), who, address), request, response));
    }

    /** Chooses a new password by a code, and signs in with it. */
    @PostMapping("/recovery")
    Session recover(@Valid @RequestBody NewPassword input, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = passes.recover(input.code(), input.password(), request.getRemoteAddr());
        return session(desk.admit(who, request, response));
    }

    @PutMapping("/units")
    SiteUnits chooseUnits(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody SiteUnits units) {
        return accounts.chooseUnits(who, units);
    }

    private Session session(@Nullable SignedIn who) {
        List<DemoDoor.Entry> doors = demo.map(DemoDoor::entries).orElse(List.of());
        return who == null
                ? new Session(null, null, null, null, accounts.needsSetup(), doors, List.of())
                : new Session(
                        who.name(),
                        accounts.siteName(who),
                        who.role(),
                        accounts.units(who),
                        false,
                        doors,
                        signIns.places(who));
    }

    /**
     * Who is signed in, and how to come in if nobody is.
     *
     * @param name absent if nobody is signed in
     * @param needsSetup whether the keeper's account is still to be made
     * @param demoAccounts accounts that may be entered without a password; empty outside the demo
     * @param places every site the person may enter; empty if nobody is signed in
     */
    record Session(
            @Nullable String name,
            @Nullable String siteName,
            @Nullable Role role,
            @Nullable SiteUnits units,
            boolean needsSetup,
            List<DemoDoor.Entry> demoAccounts,
            List<SitePlace> places) {}

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

    record Destination(long siteId) {}

    record CodeInput(
            @NotBlank(message = "Type the code.") @Size(max = 60, message = "At most 60 characters.")
            String code) {}

    /**
     * An invitation accepted.
     *
     * @param person absent if whoever is signed in accepts it
     */
    record Joining(
            @NotBlank(message = "Type the code.") @Size(max = 60, message = "At most 60 characters.")
            String code,

            @Valid @Nullable NewAccount person) {}

    record NewPassword(
            @NotBlank(message = "Type the code.") @Size(max = 60, message = "At most 60 characters.")
            String code,

            @FitPassword String password) {}
}
