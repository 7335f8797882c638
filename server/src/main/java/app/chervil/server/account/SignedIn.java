package app.chervil.server.account;

import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import java.io.Serializable;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpStatus;

/** The person behind a request; every query is bound to their site. */
public record SignedIn(long accountId, long siteId, String name, Role role) implements Principal, Serializable {
    /** The server itself, at work for a site while nobody asks. */
    public static SignedIn nobody(long site) {
        return new SignedIn(0, site, "", Role.HELPER);
    }

    @Override
    public String getName() {
        return Long.toString(accountId);
    }

    /**
     * Lets only the keeper pass.
     *
     * @throws Rejected if this person is no keeper
     */
    public void mustBeKeeper() {
        if (role != Role.KEEPER) {
            throw new Rejected(
                    HttpStatus.FORBIDDEN, List.of(new Violation("", "keeper-only", "Only a keeper may do this.")));
        }
    }
}
