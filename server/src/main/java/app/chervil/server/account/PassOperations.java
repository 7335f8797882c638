package app.chervil.server.account;

import app.chervil.server.account.PassMapper.PassRow;
import app.chervil.server.account.PassMapper.PassRow.Kind;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** What lets somebody in once: invitations to a site, and codes for a new password. */
@Service
public class PassOperations {
    static final Duration INVITATION_LASTS = Duration.ofDays(7);
    static final Duration RECOVERY_LASTS = Duration.ofHours(24);
    static final int MOST_INVITATIONS = 50;

    private final PassMapper mapper;
    private final AccountMapper people;
    private final AccountOperations accounts;
    private final Passwords passwords;
    private final Sessions sessions;
    private final Throttle throttle;
    private final TransactionOperations transactions;
    private final Clock clock;

    PassOperations(Doors doors, AccountOperations accounts, Passwords passwords, Sessions sessions) {
        this.mapper = doors.passes();
        this.people = doors.people();
        this.throttle = doors.throttle();
        this.transactions = doors.transactions();
        this.clock = doors.clock();
        this.accounts = accounts;
        this.passwords = passwords;
        this.sessions = sessions;
    }

    /**
     * Invites somebody to the site.
     *
     * @param note for whom it is, so that it can be found again
     * @return the invitation with its code, which is told this once
     */
    @Transactional
    public Invitation invite(SignedIn who, Role role, String note) {
        who.mustBeKeeper();
        Instant now = clock.instant();
        if (mapper.listInvitations(who.siteId(), now).size() >= MOST_INVITATIONS) {
            throw Rejected.field("", "too-many", "Fifty invitations are open. Take some of them back first.");
        }
        String code = OneTimeCode.draw();
        PassRow pass = new PassRow(
                who.siteId(),
                OneTimeCode.mark(code),
                Kind.INVITATION,
                role,
                null,
                note.strip(),
                who.name(),
                now,
                now.plus(INVITATION_LASTS));
        mapper.insert(who.siteId(), pass);
        return invitation(pass, code);
    }

    /** Invitations that nobody has used yet. */
    @Transactional(readOnly = true)
    public List<Invitation> invitations(SignedIn who) {
        return mapper.listInvitations(who.siteId(), clock.instant()).stream()
                .map(pass -> invitation(pass, null))
                .toList();
    }

    /**
     * Makes an invitation worthless.
     *
     * @throws NotFound if it was used or is none
     */
    @Transactional
    public void takeBack(SignedIn who, String mark) {
        who.mustBeKeeper();
        if (mapper.deleteInvitation(who.siteId(), mark) == 0) {
            throw new NotFound("invitation");
        }
    }

    /**
     * To which site an invitation leads, and as what.
     *
     * @throws Rejected if it is none, was used or is over
     */
    public Offer look(String code, String address) {
        PassRow pass = find(code, Kind.INVITATION, address);
        return new Offer(people.findSiteName(pass.siteId()), pass.as(), pass.madeBy());
    }

    /**
     * Accepts an invitation as somebody new.
     *
     * @throws Rejected if it is none, was used or is over, or if the name or password will not do
     */
    public SignedIn join(String code, NewAccount person, String address) {
        PassRow pass = find(code, Kind.INVITATION, address);
        AccountOperations.Newcomer newcomer = accounts.newcomer(person, "person.");
        try {
            return use(pass, () -> accounts.add(pass.siteId(), newcomer, pass.as()));
        } catch (Rejected taken) {
            // Who holds an invitation shall not find out many names with it.
            throttle.failed(Throttle.CODES, address);
            throw taken;
        }
    }

    /**
     * Accepts an invitation as somebody who is signed in.
     *
     * @throws Rejected if it is none, was used or is over, or if they are on that site already
     */
    public SignedIn join(String code, SignedIn who, String address) {
        PassRow pass = find(code, Kind.INVITATION, address);
        String login = people.find(who.siteId(), who.accountId())
                .map(AccountRow::login)
                .orElseThrow(() -> new NotFound("account"));
        return use(pass, () -> accounts.place(pass.siteId(), login, who.name(), pass.as()));
    }

    /**
     * Makes a code by which a person of the site chooses a new password. Codes made before are worthless then.
     *
     * @throws NotFound if the site has no such person
     * @throws Rejected if the person keeps a site of their own, to which this would open the way
     */
    public Recovery recoveryFor(SignedIn who, long account) {
        who.mustBeKeeper();
        AccountRow row = people.find(who.siteId(), account).orElseThrow(() -> new NotFound("account"));
        boolean elsewhere = people.listPlaces(row.login()).stream().anyMatch(place -> place.siteId() != who.siteId());
        if (elsewhere) {
            throw Rejected.field(
                    "",
                    "also-elsewhere",
                    row.name() + " is on other sites too, so only who runs the server can make this code.");
        }
        Instant now = clock.instant();
        String code = OneTimeCode.draw();
        PassRow pass = new PassRow(
                who.siteId(),
                OneTimeCode.mark(code),
                Kind.RECOVERY,
                null,
                account,
                row.name(),
                who.name(),
                now,
                now.plus(RECOVERY_LASTS));
        transactions.executeWithoutResult(status -> {
            mapper.updateStale(who.siteId(), account, now);
            mapper.insert(who.siteId(), pass);
        });
        return new Recovery(code, row.login(), pass.expiresAt());
    }

    /**
     * Chooses a new password by a code; every session of the person ends.
     *
     * @throws Rejected if the code is none, was used or is over, or if the password will not do
     */
    public SignedIn recover(String code, String password, String address) {
        PassRow pass = find(code, Kind.RECOVERY, address);
        AccountRow row = people.find(pass.siteId(), pass.whose()).orElseThrow(() -> new NotFound("account"));
        String hash = passwords.hash("password", row.login(), password);
        return use(pass, () -> {
            people.updateHash(row.login(), hash);
            people.listPlaces(row.login()).forEach(place -> sessions.endAll(place.id()));
            return row.signedIn();
        });
    }

    private SignedIn use(PassRow pass, java.util.function.Supplier<SignedIn> work) {
        return Objects.requireNonNull(transactions.execute(status -> {
            if (mapper.updateUsed(pass.siteId(), pass.mark(), clock.instant()) == 0) {
                throw noPass();
            }
            return work.get();
        }));
    }

    private PassRow find(String code, Kind kind, String address) {
        throttle.check("code", Throttle.CODES, address);
        Optional<PassRow> pass = mapper.find(OneTimeCode.mark(code), kind, clock.instant());
        if (pass.isEmpty()) {
            throttle.failed(Throttle.CODES, address);
        }
        return pass.orElseThrow(PassOperations::noPass);
    }

    private static Rejected noPass() {
        return SignInOperations.refused(
                "code", "no-such-code", "This code was used, is over, or was never made. Ask for a new one.");
    }

    private static Invitation invitation(PassRow pass, @Nullable String code) {
        return new Invitation(
                pass.mark().substring(0, 16), pass.as(), pass.note(), pass.madeBy(), pass.expiresAt(), code);
    }

    /**
     * An invitation as keepers see it.
     *
     * @param mark by which it can be taken back
     * @param note for whom it is
     * @param code that stands in its link; told only when it is made
     */
    public record Invitation(
            String mark,
            Role role,
            String note,
            String madeBy,
            Instant expiresAt,
            @Nullable String code) {}

    /** What an invitation offers to who holds it. */
    public record Offer(String siteName, Role role, String madeBy) {}

    /** A code for a new password, told this once. */
    public record Recovery(String code, String login, Instant expiresAt) {}
}
