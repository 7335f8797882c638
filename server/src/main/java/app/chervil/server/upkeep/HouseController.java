package app.chervil.server.upkeep;

import app.chervil.server.account.SignedIn;
import app.chervil.server.web.PairingDesk;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How phones in the house reach the site, over HTTP. */
@RestController
class HouseController {
    private final Optional<PairingDesk> desk;

    HouseController(Optional<PairingDesk> desk) {
        this.desk = desk;
    }

    @GetMapping("/api/house")
    HouseView house(@AuthenticationPrincipal SignedIn who) {
        who.mustBeKeeper();
        return desk.map(one -> new HouseView(one.addresses(), one.starts(), one.fingerprint()))
                .orElse(new HouseView(List.of(), List.of(), null));
    }

    /**
     * The house network.
     *
     * @param addresses under which phones reach the site; empty if it is open to this machine alone
     * @param starts where each begins, in the same order
     * @param fingerprint of the site's certificate; absent if it is open to this machine alone
     */
    record HouseView(
            List<String> addresses,
            List<String> starts,
            @Nullable String fingerprint) {}
}
