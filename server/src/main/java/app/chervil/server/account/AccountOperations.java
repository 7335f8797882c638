package app.chervil.server.account;

import app.chervil.server.account.AccountMapper.Person;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sign-in, the first account, and the people of a site. */
@Service
public class AccountOperations {
    static final int MOST_FAILURES_OF_LOGIN = 5;
    static final int MOST_FAILURES_FROM_ADDRESS = 30;
    static final Duration THROTTLE = Duration.ofMinutes(15);

    private final AccountMapper mapper;
    private final PasswordEncoder encoder;
    private final SetupCode setupCode;
    private final Clock clock;
    private final String decoyHash;

    AccountOperations(AccountMapper mapper, PasswordEncoder encoder, SetupCode setupCode, Clock clock) {
        this.mapper = mapper;
        this.encoder = encoder;
        this.setupCode = setupCode;
        this.clock = clock;
        this.decoyHash = encoder.encode("nobody has this password");
    }

    /** Whether the first visitor still has to make the keeper's account. */
    public boolean needsSetup() {
        return !mapper.findAny();
    }

    /** Units of the site. */
    @Transactional(readOnly = true)
    public SiteUnits units(SignedIn who) {
        return mapper.findUnits(who.siteId());
    }

    /**
     * Chooses the units of the site, for everyone on it.
     *
     * @throws Rejected if one is of another quantity than its field
     */
    @Transactional
    public SiteUnits chooseUnits(SignedIn who, SiteUnits units) {
        who.mustBeKeeper();
        units.check();
        mapper.updateUnits(who.siteId(), units);
        return units;
    }

    public String siteName(SignedIn who) {
        return mapper.findSiteName(who.siteId());
    }

    /**
     * Checks a login and password. Failures are kept, also when the request is refused.
     *
     * @throws Rejected after too many failures, or if they do not belong together
     */
    @Transactional(noRollbackFor = Rejected.class)
    public SignedIn signIn(String login, String password, String address) {
        String name = canonical(login);
        refuseIfThrottled(name, address);
        Optional<AccountRow> account = mapper.findByLogin(name);
        String hash = account.map(AccountRow::passwordHash).orElse(decoyHash);
        if (!encoder.matches(password, hash) || account.isEmpty()) {
            mapper.insertFailure(name, address, clock.instant());
            throw unauthorised("password", "sign-in-failed", "Wrong name or password.");
        }
        mapper.deleteFailures(name, clock.instant().minus(THROTTLE));
        return account.get().signedIn();
    }

    /**
     * Makes the site and its keeper, once.
     *
     * @throws Rejected if the code is wrong or there is a keeper already
     */
    @Transactional(noRollbackFor = Rejected.class)
    public SignedIn setUp(String code, String siteName, NewAccount keeper, String address) {
        mapper.lockSetup();
        refuseIfThrottled("", address);
        if (mapper.findAny()) {
            throw Rejected.field("code", "already-set-up", "This site has a keeper already. Sign in instead.");
        }
        if (!setupCode.matches(code)) {
            mapper.insertFailure("", address, clock.instant());
            throw unauthorised("code", "wrong-code", "That is not the code printed where Chervil was started.");
        }
        return create(siteName, keeper, Role.KEEPER);
    }

    /** A new site with its first person. */
    @Transactional
    public SignedIn create(String siteName, NewAccount keeper, Role role) {
        return add(mapper.insertSite(siteName.strip(), clock.instant()), keeper, role);
    }

    @Transactional(readOnly = true)
    public List<Account> list(SignedIn who) {
        return mapper.list(who.siteId()).stream()
                .map(row -> new Account(row.id(), row.login(), row.name(), row.role()))
                .toList();
    }

    @Transactional
    public Account addHelper(SignedIn who, NewAccount helper) {
        who.mustBeKeeper();
        SignedIn added = add(who.siteId(), helper, Role.HELPER);
        return new Account(added.accountId(), canonical(helper.login()), added.name(), Role.HELPER);
    }

    /** Takes a person's access away at once; their name stays in the log. */
    @Transactional
    public void remove(SignedIn who, long id) {
        who.mustBeKeeper();
        AccountRow account = mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("account"));
        if (account.role() == Role.KEEPER) {
            throw Rejected.field("", "keeper-stays", "The keeper cannot be removed.");
        }
        mapper.delete(who.siteId(), id, clock.instant());
        mapper.deleteSessions(account.signedIn().getName());
    }

    private SignedIn add(long site, NewAccount account, Role role) {
        Person person = new Person(canonical(account.login()), account.name().strip());
        Instant now = clock.instant();
        return mapper.insert(site, person, role, encoder.encode(account.password()), now)
                .map(id -> new SignedIn(id, site, person.name(), role))
                .orElseThrow(() -> Rejected.field("login", "login-taken", "This name is taken. Choose another."));
    }

    private void refuseIfThrottled(String login, String address) {
        Instant since = clock.instant().minus(THROTTLE);
        boolean loginHeld = mapper.findFailuresOf(login, since) >= MOST_FAILURES_OF_LOGIN;
        if (loginHeld || mapper.findFailuresFrom(address, since) >= MOST_FAILURES_FROM_ADDRESS) {
            Violation held = new Violation(
                    "password", "too-many-attempts", "Too many attempts. Wait a quarter of an hour, then try again.");
            throw new Rejected(HttpStatus.TOO_MANY_REQUESTS, List.of(held));
        }
    }

    private static Rejected unauthorised(String field, String code, String message) {
        return new Rejected(HttpStatus.UNAUTHORIZED, List.of(new Violation(field, code, message)));
    }

    private static String canonical(String login) {
        return login.strip().toLowerCase(Locale.ROOT);
    }
}
