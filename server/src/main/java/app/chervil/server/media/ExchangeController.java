package app.chervil.server.media;

import app.chervil.server.account.SignedIn;
import app.chervil.server.media.ExchangeView.ExchangePlan;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
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

/** Exchanges of media in portions over HTTP. */
@RestController
@RequestMapping("/api")
class ExchangeController {
    private final ExchangeOperations exchanges;

    ExchangeController(ExchangeOperations exchanges) {
        this.exchanges = exchanges;
    }

    @GetMapping("/tanks/{tank}/exchanges")
    List<ExchangeView> list(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return exchanges.list(who, tank);
    }

    /** An exchange as it would go. */
    @PostMapping("/tanks/{tank}/exchange-plan")
    ExchangePlan plan(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody ExchangeInput input) {
        return exchanges.plan(who, tank, input);
    }

    @PutMapping("/tanks/{tank}/exchanges/{exchange}")
    ExchangeView begin(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID exchange,
            @Valid @RequestBody ExchangeInput input) {
        return exchanges.begin(who, tank, exchange, input);
    }

    @DeleteMapping("/exchanges/{exchange}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@AuthenticationPrincipal SignedIn who, @PathVariable UUID exchange) {
        exchanges.stop(who, exchange);
    }
}
