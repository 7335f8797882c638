package app.chervil.server.account;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** A person's own affairs: their password, their sessions, and the sites they found, leave, delete and bring back. */
@Service
public class SiteOperations {
    /** For how long a deleted site can be brought back. */
    static final Duration GRACE = Duration.ofDays(30);

    static final int MOST_SITES = 50;

    private final AccountMapper mapper;
    private final AccountOperations accounts;
    private final SignInOperations signIns;
    private final Passwords passwords;
    private final Sessions sessions;
    private final TransactionOperations transactions;
    private final Clock clock;

    SiteOperations(
            Doors doors, AccountOperations accounts, SignInOperations signIns, Passwords passwords, Sessions sessions) {
        this.mapper = doors.people();
        this.transactions = doors.transactions();
        this.clock = doors.clock();
        this.accounts = accounts;
        this.signIns = signIns;
        this.passwords = passwords;
        this.sessions = sessions;
    }

    /**
     * Changes a person's password and ends their other sessions.
     *
     * @param asking the session that asks, which goes on, and where from
     * @throws Rejected if the present password is wrong, was wrong too often, or the new one will not do
     */
    public void changePassword(SignedIn who, String present, String wanted, Asking asking) {
        String login = signIns.login(who);
        signIns.proveAgain("present", login, present, asking.address());
        String hash = passwords.hash("wanted", login, wanted);
        transactions.executeWithoutResult(status -> {
            mapper.updateHash(login, hash);
            sessions.endOthers(accountsOf(who), asking.session());
        });
    }

    /** A session and the address it asks from. */
    public record Asking(String session, String address) {}

    /** Where a person is signed in. */
    public List<Sessions.OpenSession> sessions(SignedIn who, String session) {
        return sessions.list(accountsOf(who), session);
    }

    /**
     * Ends one of a person's sessions.
     *
     * @throws NotFound if it is none of theirs
     */
    @Transactional
    public void endSession(SignedIn who, String mark) {
        if (!sessions.end(accountsOf(who), mark)) {
            throw new NotFound("session");
        }
    }

    private List<Long> accountsOf(SignedIn who) {
        return signIns.placesOf(who).stream().map(AccountRow::id).toList();
    }

    /** Founds another site, of which the person is keeper. */
    public SignedIn found(SignedIn who, String name) {
        List<AccountRow> places = signIns.placesOf(who);
        if (places.size() >= MOST_SITES) {
            throw Rejected.field("name", "too-many", "You are on fifty sites. Leave one first.");
        }
        return accounts.found(name, signIns.login(who), who.name());
    }

    /**
     * Gives up a person's place on the site they are on.
     *
     * @return where they are then; empty if they have no site left
     * @throws Rejected if no keeper would be left
     */
    @Transactional
    public Optional<SignedIn> leave(SignedIn who) {
        String login = signIns.login(who);
        accounts.leave(who);
        return signIns.lastPlace(login);
    }

    /**
     * Deletes the site, for thirty days in a way that can be undone. Everybody but its keepers is out at once.
     *
     * @param name of the site, typed to be sure
     * @throws Rejected if that is not its name
     */
    @Transactional
    public void delete(SignedIn who, String name) {
        who.mustBeKeeper();
        if (!mapper.findSiteName(who.siteId()).equals(name.strip())) {
            throw Rejected.field("name", "not-its-name", "Type the site’s name as it stands above.");
        }
        mapper.updateDeleted(who.siteId(), clock.instant());
        mapper.list(who.siteId()).stream()
                .filter(row -> row.role() != Role.KEEPER)
                .forEach(row -> sessions.endAll(row.id()));
    }

    /** Takes away for good what was deleted thirty days ago; answers how many sites that were. */
    @Transactional
    public int forgetOverdue() {
        List<Long> overdue = mapper.listOverdue(clock.instant().minus(GRACE));
        overdue.forEach(mapper::forget);
        return overdue.size();
    }

    /**
     * Brings a deleted site back.
     *
     * @throws NotFound if the person keeps no such site, or if its days are over
     */
    @Transactional
    public void bringBack(SignedIn who, long site) {
        Instant oldest = clock.instant().minus(GRACE);
        boolean there = signIns.placesOf(who).stream()
                .anyMatch(row -> row.siteId() == site
                        && row.role() == Role.KEEPER
                        && row.siteDeletedAt() != null
                        && row.siteDeletedAt().isAfter(oldest));
        if (!there) {
            throw new NotFound("site");
        }
        mapper.updateDeleted(site, null);
    }
}
