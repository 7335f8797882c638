package app.chervil.server.people;

import app.chervil.server.account.SignedIn;
import app.chervil.server.people.TimeView.ExceptionInput;
import app.chervil.server.people.TimeView.HelperInput;
import app.chervil.server.people.TimeView.WeekInput;
import jakarta.validation.Valid;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** People's time over HTTP. */
@RestController
@RequestMapping("/api/plan/time")
class PeopleController {
    private final TimeOperations time;

    PeopleController(TimeOperations time) {
        this.time = time;
    }

    @GetMapping
    TimeView time(@AuthenticationPrincipal SignedIn who) {
        return time.find(who);
    }

    @PutMapping("/people/{account}")
    TimeView week(
            @AuthenticationPrincipal SignedIn who, @PathVariable long account, @Valid @RequestBody WeekInput input) {
        return time.saveWeek(who, account, input);
    }

    @PostMapping("/exceptions")
    TimeView except(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody ExceptionInput input) {
        return time.addException(who, input);
    }

    @DeleteMapping("/exceptions/{id}")
    TimeView usual(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        return time.removeException(who, id);
    }

    @PutMapping("/helpers")
    TimeView helpers(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody HelperInput input) {
        return time.saveHelpers(who, input);
    }
}
