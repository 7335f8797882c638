package app.chervil.server.calendar;

import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.OneTimeCode;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.calendar.CalendarMapper.FeedRow;
import app.chervil.server.calendar.CalendarMapper.OpenedRow;
import app.chervil.server.plan.PlanInForceOperations;
import app.chervil.server.problem.NotFound;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalTime;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Calendars of the plan: secret addresses that people's calendar programs read, and a file. */
@Service
public class CalendarOperations {
    private static final int SECRET_BYTES = 24;
    private static final LocalTime USUAL_START = LocalTime.of(17, 0);

    private final CalendarMapper mapper;
    private final PlanInForceOperations plans;
    private final AccountOperations accounts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    CalendarOperations(CalendarMapper mapper, PlanInForceOperations plans, AccountOperations accounts, Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * How a calendar is wanted.
     *
     * @param startsAt when the day's first visit begins
     * @param alarmMinutes before each visit; absent for no alarm
     */
    public record CalendarInput(
            @NotNull(message = "From what time?") LocalTime startsAt,

            @Nullable @Min(value = 0, message = "Not below 0.") @Max(value = 1440, message = "At most a day.")
            Integer alarmMinutes) {}

    /** An address that was given out; its secret is not kept. */
    public record CalendarFeed(
            long id,
            LocalTime startsAt,
            @Nullable Integer alarmMinutes,
            Instant madeAt,
            @Nullable Instant readAt) {}

    /**
     * A new address, shown this once.
     *
     * @param path below the site's own address
     */
    public record NewFeed(String path) {}

    @Transactional(readOnly = true)
    public List<CalendarFeed> list(SignedIn who) {
        return mapper.list(who.siteId(), who.accountId()).stream()
                .map(CalendarOperations::feed)
                .toList();
    }

    private static CalendarFeed feed(FeedRow row) {
        return new CalendarFeed(row.id(), row.startsAt(), row.alarmMinutes(), row.madeAt(), row.readAt());
    }

    /** Gives out an address. Only a mark of its secret is stored. */
    @Transactional
    public NewFeed make(SignedIn who, CalendarInput input) {
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        mapper.insert(who.siteId(), who.accountId(), markOf(secret), input, clock.instant());
        return new NewFeed("/calendar/" + secret + ".ics");
    }

    /** Ends an address at once. */
    @Transactional
    public void revoke(SignedIn who, long id) {
        if (mapper.delete(who.siteId(), who.accountId(), id) == 0) {
            throw new NotFound("calendar");
        }
    }

    /**
     * The calendar behind a secret.
     *
     * @param site address under which it was asked for; visits link to it
     * @throws NotFound if there is none, or none any more
     */
    public String open(String secret, String site) {
        OpenedRow row = mapper.findBySecret(markOf(secret)).orElseThrow(() -> new NotFound("calendar"));
        mapper.updateRead(row.siteId(), row.id(), clock.instant());
        SignedIn who = new SignedIn(row.accountId(), row.siteId(), row.name(), Role.valueOf(row.role()));
        return file(who, row.startsAt(), row.alarmMinutes(), site);
    }

    /**
     * The own calendar as a file.
     *
     * @param site address under which it was asked for; visits link to it
     */
    @Transactional(readOnly = true)
    public String download(SignedIn who, String site) {
        return file(who, USUAL_START, null, site);
    }

    private String file(SignedIn who, LocalTime startsAt, @Nullable Integer alarmMinutes, String site) {
        String title = accounts.siteName(who) + ": " + who.name();
        return new CalendarFile(title, clock.getZone(), startsAt, alarmMinutes, site).of(plans.visitsOf(who));
    }

    private static String markOf(String secret) {
        return OneTimeCode.markOf(secret.getBytes(StandardCharsets.UTF_8));
    }
}
