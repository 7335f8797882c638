package app.chervil.server.upkeep;

import app.chervil.server.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How old the last backup is, over HTTP. */
@RestController
class BackupController {
    private final Backups backups;

    BackupController(Backups backups) {
        this.backups = backups;
    }

    @GetMapping("/api/backup")
    BackupView backup(@AuthenticationPrincipal SignedIn who) {
        who.mustBeKeeper();
        return backups.view();
    }
}
