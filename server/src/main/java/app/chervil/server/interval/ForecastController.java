package app.chervil.server.interval;

import app.chervil.core.interval.EngineFacts;
import app.chervil.server.account.SignedIn;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Forecasts over HTTP. */
@RestController
@RequestMapping("/api")
class ForecastController {
    private final ForecastOperations operations;

    private final StoryOperations stories;

    ForecastController(ForecastOperations operations, StoryOperations stories) {
        this.operations = operations;
        this.stories = stories;
    }

    /** Forecasts of one tank, or of the whole site. */
    @GetMapping("/forecasts")
    List<ForecastView> list(@AuthenticationPrincipal SignedIn who, @RequestParam @Nullable Long tank) {
        return operations.list(who, tank);
    }

    /** How large the next opening of each canister of a tank is to be. */
    @GetMapping("/tanks/{tank}/openings")
    List<OpeningView> openings(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.openings(who, tank);
    }

    /** The figures by which the engine is explained. */
    @GetMapping("/engine-facts")
    EngineFacts facts() {
        return EngineFacts.workedOut();
    }

    /** How a task's interval came to be. */
    @GetMapping("/tanks/{tank}/tasks/{task}/story")
    StoryView story(@AuthenticationPrincipal SignedIn who, @PathVariable long tank, @PathVariable long task) {
        return stories.story(who, tank, task);
    }
}
