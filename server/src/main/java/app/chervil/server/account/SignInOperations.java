package app.chervil.server.account;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * Sign-in, the first account, and a person's way between their sites. Passwords are hashed between transactions, so that
 * no connection waits for it.
 */
@Service
public class SignInOperations {
    private final AccountMapper mapper;
    private final AccountOperations accounts;
    private final Passwords passwords;
    private final Throttle throttle;
    private final SetupCode setupCode;
    private final Clock clock;

    SignInOperations(Doors doors, AccountOperations accounts, Passwords passwords, SetupCode setupCode) {
        this.mapper = doors.people();
        this.throttle = doors.throttle();
        this.clock = doors.clock();
        this.accounts = accounts;
        this.passwords = passwords;
        this.setupCode = setupCode;
    }

    /**
     * Checks a login and password, and leads to the site where the person was last.
     *
     * @throws Rejected after too many failures, if they do not belong together, or if the person has no site left
     */
    public SignedIn signIn(String login, String password, String address) {
        String name = Login.canonical(login);
        prove(name, password, address);
        return lastPlace(name)
                .orElseThrow(() -> refused("login", "no-site", "Your sites are gone. Ask a keeper to invite you."));
    }

    /**
     * Makes sure of somebody by their password.
     *
     * @throws Rejected after too many failures, or if it is not theirs
     */
    void prove(String login, String password, String address) {
        throttle.check("password", login, address);
        if (!passwords.match(password, mapper.findHash(login).orElse(null))) {
            throttle.failed(login, address);
            throw refused("password", "sign-in-failed", "Wrong name or password.");
        }
        throttle.passed(login, address);
    }

    /**
     * Makes sure once more of somebody who is signed in, as often as at the door.
     *
     * @param field that holds the password
     * @throws Rejected after too many failures, or if it is not theirs
     */
    void proveAgain(String field, String login, String password, String address) {
        throttle.check(field, login, address);
        if (!passwords.match(password, mapper.findHash(login).orElse(null))) {
            throttle.failed(login, address);
            throw Rejected.field(field, "wrong-password", "That is not your present password.");
        }
        throttle.passed(login, address);
    }

    /**
     * Makes the site and its keeper, once.
     *
     * @throws Rejected if the code is wrong or there is a keeper already
     */
    public SignedIn setUp(String code, String siteName, NewAccount keeper, String address) {
        throttle.check("code", Throttle.CODES, address);
        if (!accounts.needsSetup()) {
            throw setUpAlready();
        }
        if (!setupCode.matches(code)) {
            throttle.failed(Throttle.CODES, address);
            throw refused("code", "wrong-code", "That is not the code printed where Chervil was started.");
        }
        return accounts.createFirst(siteName, accounts.newcomer(keeper, "keeper."));
    }

    static Rejected setUpAlready() {
        return Rejected.field("code", "already-set-up", "This site has a keeper already. Sign in instead.");
    }

    /** Every site a person may enter, where they were last first. */
    public List<SitePlace> places(SignedIn who) {
        return placesOf(who).stream()
                .map(row -> new SitePlace(
                        row.siteId(), row.siteName(), row.role(), row.siteId() == who.siteId(), row.siteDeletedAt()))
                .toList();
    }

    /** Accounts of a person on all their sites. */
    List<AccountRow> placesOf(SignedIn who) {
        return mapper.listPlaces(login(who)).stream().filter(AccountRow::open).toList();
    }

    /** The name by which somebody signs in. */
    String login(SignedIn who) {
        return mapper.find(who.siteId(), who.accountId())
                .map(AccountRow::login)
                .orElseThrow(() -> new NotFound("account"));
    }

    /**
     * Goes over to another site.
     *
     * @throws NotFound if the person has no place there
     */
    public SignedIn goTo(SignedIn who, long site) {
        return placesOf(who).stream()
                .filter(row -> row.siteId() == site)
                .findFirst()
                .map(this::enter)
                .orElseThrow(() -> new NotFound("site"));
    }

    /** The site where a person was last of those they may enter; empty if they have none. */
    Optional<SignedIn> lastPlace(String login) {
        return mapper.listPlaces(login).stream()
                .filter(AccountRow::open)
                .findFirst()
                .map(this::enter);
    }

    private SignedIn enter(AccountRow row) {
        mapper.updateHere(row.siteId(), row.id(), clock.instant());
        return row.signedIn();
    }

    static Rejected refused(String field, String code, String message) {
        return new Rejected(HttpStatus.UNAUTHORIZED, List.of(new Violation(field, code, message)));
    }
}
