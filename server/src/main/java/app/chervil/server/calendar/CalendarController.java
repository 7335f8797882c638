package app.chervil.server.calendar;

import app.chervil.server.account.SignedIn;
import app.chervil.server.calendar.CalendarOperations.CalendarFeed;
import app.chervil.server.calendar.CalendarOperations.CalendarInput;
import app.chervil.server.calendar.CalendarOperations.NewFeed;
import jakarta.validation.Valid;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Calendars over HTTP; the secret address needs no session. */
@RestController
class CalendarController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final CalendarOperations operations;

    CalendarController(CalendarOperations operations) {
        this.operations = operations;
    }

    private static String site() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
    }

    @GetMapping("/api/calendars")
    List<CalendarFeed> list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    @PostMapping("/api/calendars")
    @ResponseStatus(HttpStatus.CREATED)
    NewFeed make(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody CalendarInput input) {
        return operations.make(who, input);
    }

    @DeleteMapping("/api/calendars/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        operations.revoke(who, id);
    }

    @GetMapping("/api/plan/calendar.ics")
    ResponseEntity<String> download(@AuthenticationPrincipal SignedIn who) {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"chervil-plan.ics\"")
                .body(operations.download(who, site()));
    }

    @GetMapping("/calendar/{secret}.ics")
    ResponseEntity<String> open(@PathVariable String secret) {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .body(operations.open(secret, site()));
    }
}
