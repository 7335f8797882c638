package app.chervil.server.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of a site, how they come to it, and what they did. */
@RestController
@RequestMapping("/api")
class AccountController {
    private final AccountOperations accounts;
    private final PassOperations passes;
    private final DeedOperations deeds;

    AccountController(AccountOperations accounts, PassOperations passes, DeedOperations deeds) {
        this.accounts = accounts;
        this.passes = passes;
        this.deeds = deeds;
    }

    @GetMapping("/accounts")
    List<Account> list(@AuthenticationPrincipal SignedIn who) {
        return accounts.list(who);
    }

    @PutMapping("/accounts/{account}/role")
    Account changeRole(
            @AuthenticationPrincipal SignedIn who, @PathVariable long account, @Valid @RequestBody RoleInput input) {
        return accounts.changeRole(who, account, input.role());
    }

    @DeleteMapping("/accounts/{account}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable long account) {
        accounts.remove(who, account);
    }

    @PostMapping("/accounts/{account}/recovery")
    @ResponseStatus(HttpStatus.CREATED)
    PassOperations.Recovery recovery(@AuthenticationPrincipal SignedIn who, @PathVariable long account) {
        return passes.recoveryFor(who, account);
    }

    @GetMapping("/invitations")
    List<PassOperations.Invitation> invitations(@AuthenticationPrincipal SignedIn who) {
        return passes.invitations(who);
    }

    @PostMapping("/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    PassOperations.Invitation invite(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody InvitationInput input) {
        return passes.invite(who, input.role(), input.note());
    }

    @DeleteMapping("/invitations/{mark}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@AuthenticationPrincipal SignedIn who, @PathVariable String mark) {
        passes.takeBack(who, mark);
    }

    /** What people did, the latest first; {@code before} is the last line already seen. */
    @GetMapping("/deeds")
    List<DeedOperations.DeedDone> deeds(
            @AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "9223372036854775807") long before) {
        return deeds.list(who, before);
    }

    record RoleInput(@NotNull(message = "Choose one.") Role role) {}

    record InvitationInput(
            @NotNull(message = "Choose one.") Role role,

            @NotNull(message = "Say for whom it is, or leave it empty.")
            @Size(max = 60, message = "At most 60 characters.")
            String note) {}
}
