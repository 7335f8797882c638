package app.chervil.server.demo;

import app.chervil.server.demo.MailCatcher.CaughtMail;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the demo caught of the evening's mail. */
@RestController
class CaughtMailController {
    private final ObjectProvider<MailCatcher> catcher;

    CaughtMailController(ObjectProvider<MailCatcher> catcher) {
        this.catcher = catcher;
    }

    /** Mails the demo caught; empty elsewhere. */
    @GetMapping("/api/digest/caught")
    List<CaughtMail> caught() {
        return catcher.stream().flatMap(here -> here.caught().stream()).toList();
    }
}
