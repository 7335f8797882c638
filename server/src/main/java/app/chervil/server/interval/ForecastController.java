package app.chervil.server.interval;

import app.chervil.server.account.SignedIn;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Forecasts over HTTP. */
@RestController
@RequestMapping("/api/forecasts")
class ForecastController {
    private final ForecastOperations operations;

    ForecastController(ForecastOperations operations) {
        this.operations = operations;
    }

    /** Forecasts of one tank, or of the whole site. */
    @GetMapping
    List<ForecastView> list(@AuthenticationPrincipal SignedIn who, @RequestParam @Nullable Long tank) {
        return operations.list(who, tank);
    }
}
