package app.chervil.server.account;

import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The people of a site. */
@RestController
@RequestMapping("/api/accounts")
class AccountController {
    private final AccountOperations operations;

    AccountController(AccountOperations operations) {
        this.operations = operations;
    }

    @GetMapping
    List<Account> list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Account addHelper(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody NewAccount helper) {
        return operations.addHelper(who, helper);
    }

    @DeleteMapping("/{account}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable long account) {
        operations.remove(who, account);
    }
}
