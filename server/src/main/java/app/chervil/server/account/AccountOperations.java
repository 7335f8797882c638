package app.chervil.server.account;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A site, its units, and the people who have a place on it. */
@Service
public class AccountOperations {
    private final AccountMapper mapper;
    private final Passwords passwords;
    private final Sessions sessions;
    private final Clock clock;

    AccountOperations(AccountMapper mapper, Passwords passwords, Sessions sessions, Clock clock) {
        this.mapper = mapper;
        this.passwords = passwords;
        this.sessions = sessions;
        this.clock = clock;
    }

    /** Whether the first visitor still has to make the keeper's account. */
    public boolean needsSetup() {
        return !mapper.findAny();
    }

    /** Units of the site. */
    @Transactional(readOnly = true)
    public SiteUnits units(SignedIn who) {
        return unitsOf(who.siteId());
    }

    /** Units of a site, for what is written while nobody asks. */
    @Transactional(readOnly = true)
    public SiteUnits unitsOf(long site) {
        return mapper.findUnits(site);
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

    /** A new site with its first person. */
    @Transactional
    public SignedIn create(String siteName, NewAccount keeper, Role role) {
        return create(siteName, newcomer(keeper, ""), role);
    }

    /** A new site with its first person. */
    @Transactional
    SignedIn create(String siteName, Newcomer keeper, Role role) {
        return add(mapper.insertSite(siteName.strip(), clock.instant()), keeper, role);
    }

    /**
     * The first site of all, with its keeper.
     *
     * @throws Rejected if somebody else made theirs meanwhile
     */
    @Transactional
    SignedIn createFirst(String siteName, Newcomer keeper) {
        mapper.lockSetup();
        if (mapper.findAny()) {
            throw SignInOperations.setUpAlready();
        }
        return create(siteName, keeper, Role.KEEPER);
    }

    /** A new site of somebody who can sign in already. */
    @Transactional
    SignedIn found(String siteName, String login, String name) {
        return place(mapper.insertSite(siteName.strip(), clock.instant()), login, name, Role.KEEPER);
    }

    @Transactional(readOnly = true)
    public List<Account> list(SignedIn who) {
        return mapper.list(who.siteId()).stream()
                .map(AccountOperations::account)
                .toList();
    }

    /** A person who is new to everything, on this site. */
    @Transactional
    public Account add(SignedIn who, NewAccount person, Role role) {
        who.mustBeKeeper();
        Newcomer newcomer = newcomer(person, "");
        SignedIn added = add(who.siteId(), newcomer, role);
        return new Account(added.accountId(), newcomer.login(), added.name(), role);
    }

    /**
     * Changes what a person may do, from their next question on.
     *
     * @throws NotFound if the site has no such person
     * @throws Rejected if no keeper would be left
     */
    @Transactional
    public Account changeRole(SignedIn who, long id, Role role) {
        who.mustBeKeeper();
        AccountRow row = find(who, id);
        if (role != Role.KEEPER) {
            leaveAKeeper(row);
        }
        mapper.updateRole(who.siteId(), id, role);
        sessions.endAll(id);
        return account(find(who, id));
    }

    /**
     * Takes a person's access away at once; their name stays in the log.
     *
     * @throws NotFound if the site has no such person
     * @throws Rejected if no keeper would be left
     */
    @Transactional
    public void remove(SignedIn who, long id) {
        who.mustBeKeeper();
        unplace(find(who, id));
    }

    /**
     * Gives up the place of whoever asks.
     *
     * @throws Rejected if no keeper would be left
     */
    @Transactional
    public void leave(SignedIn who) {
        unplace(find(who, who.accountId()));
    }

    private void unplace(AccountRow row) {
        leaveAKeeper(row);
        mapper.delete(row.siteId(), row.id(), clock.instant());
        mapper.deleteUnplaced(row.login());
        sessions.endAll(row.id());
    }

    private void leaveAKeeper(AccountRow going) {
        if (going.role() == Role.KEEPER && mapper.lockKeepers(going.siteId()).size() == 1) {
            throw Rejected.field("", "last-keeper", "A site needs a keeper. Make somebody else one first.");
        }
    }

    private AccountRow find(SignedIn who, long id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("account"));
    }

    private static Account account(AccountRow row) {
        return new Account(row.id(), row.login(), row.name(), row.role());
    }

    /**
     * Looks a new person over and hashes their password, which takes a while: outside of any transaction, if that can be.
     *
     * @param part of the request in which the person stands, as "keeper."; empty if they are the whole
     * @throws Rejected if the name or the password will not do
     */
    Newcomer newcomer(NewAccount account, String part) {
        String login = Login.canonical(account.login());
        if (!Login.fit(login)) {
            throw Rejected.field(
                    part + "login", "unfit", "Use 2 to 60 letters from a to z, digits, and . _ @ + - after the first.");
        }
        String hash = passwords.hash(part + "password", login, account.password());
        return new Newcomer(login, account.name().strip(), hash, part);
    }

    /**
     * Makes a person and their place on a site.
     *
     * @throws Rejected if the name is taken
     */
    @Transactional
    SignedIn add(long site, Newcomer person, Role role) {
        if (mapper.findAlike(person.login())
                || mapper.insertPerson(person.login(), person.hash(), clock.instant()) == 0) {
            throw Rejected.field(
                    person.part() + "login",
                    "login-taken",
                    "This name is taken, or looks like one that is. Choose another.");
        }
        return place(site, person.login(), person.name(), role);
    }

    /**
     * Gives a person who can sign in a place on a site.
     *
     * @throws Rejected if they have one
     */
    @Transactional
    SignedIn place(long site, String login, String name, Role role) {
        return mapper.insert(site, login, name, role, clock.instant())
                .map(id -> new SignedIn(id, site, name, role))
                .orElseThrow(() -> Rejected.field("", "here-already", "You are on this site already."));
    }

    /** A person looked over, with their password hashed. */
    record Newcomer(String login, String name, String hash, String part) {}
}
