package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Enters the demo as one of its invented people. */
@RestController
@ConditionalOnProperty("chervil.demo")
class DemoDoorController {
    private final DemoDoor door;
    private final SignInDesk desk;

    DemoDoorController(DemoDoor door, SignInDesk desk) {
        this.door = door;
        this.desk = desk;
    }

    @PostMapping("/api/demo-session/{login}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void enter(@PathVariable String login, HttpServletRequest request, HttpServletResponse response) {
        desk.admit(door.enter(login), request, response);
    }
}
