package app.chervil.server.mail;

import app.chervil.core.agenda.Standing.Visit;
import app.chervil.core.agenda.VisitWords;
import app.chervil.core.calc.Count;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.mail.DigestMapper.DigestRow;
import app.chervil.server.mail.DigestMapper.DueRow;
import app.chervil.server.plan.PlanInForceOperations;
import app.chervil.server.problem.Rejected;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The evening before: a mail with tomorrow's visits, for those who want one. */
@Service
public class DigestOperations {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);

    private final DigestMapper mapper;
    private final PlanInForceOperations plans;
    private final AccountOperations accounts;
    private final Post post;
    private final Clock clock;

    DigestOperations(
            DigestMapper mapper, PlanInForceOperations plans, AccountOperations accounts, Post post, Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.accounts = accounts;
        this.post = post;
        this.clock = clock;
    }

    /** How a digest is wanted. */
    public record DigestInput(
            @NotBlank(message = "To which address?")
            @Email(message = "That isn’t an email address.")
            @Size(max = 200, message = "At most 200 characters.")
            String address,

            @NotNull(message = "At what hour?")
            @Min(value = 0, message = "0 to 23.")
            @Max(value = 23, message = "0 to 23.")
            Integer atHour) {}

    /**
     * Whether mail can be sent, and how this person wants it.
     *
     * @param possible whether a mail server is set up
     * @param wanted absent if no mail is wanted
     */
    public record DigestView(boolean possible, @Nullable DigestInput wanted) {}

    @Transactional(readOnly = true)
    public DigestView find(SignedIn who) {
        return new DigestView(
                post.open(),
                mapper.find(who.siteId(), who.accountId())
                        .map(row -> new DigestInput(row.address(), row.atHour()))
                        .orElse(null));
    }

    /**
     * Wants a mail each evening.
     *
     * @throws Rejected if no mail server is set up
     */
    @Transactional
    public DigestView save(SignedIn who, DigestInput input) {
        if (!post.open()) {
            throw Rejected.field("address", "no-mail-server", "No mail server is set up; see the README.");
        }
        mapper.save(who.siteId(), who.accountId(), new DigestRow(input.address(), input.atHour()));
        return find(who);
    }

    /** Wants no more mail. */
    @Transactional
    public DigestView remove(SignedIn who) {
        mapper.delete(who.siteId(), who.accountId());
        return find(who);
    }

    /** Those whose hour has come and who have not had tomorrow's mail. */
    @Transactional(readOnly = true)
    List<DueRow> due() {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), clock.getZone());
        LocalDate tomorrow = now.toLocalDate().plusDays(1);
        return post.open()
                ? mapper.listSites().stream()
                        .flatMap(site -> mapper.listDue(site, now.getHour(), tomorrow).stream())
                        .toList()
                : List.of();
    }

    /** Sends tomorrow's visits to one person; a day without any sends nothing. */
    void send(DueRow row) {
        SignedIn who = new SignedIn(row.accountId(), row.siteId(), row.name(), Role.valueOf(row.role()));
        LocalDate tomorrow =
                LocalDate.ofInstant(clock.instant(), clock.getZone()).plusDays(1);
        List<Visit> visits = plans.visitsOf(who).stream()
                .filter(visit -> visit.on().equals(tomorrow))
                .toList();
        if (!visits.isEmpty()) {
            post.send(row.address(), subject(visits, tomorrow), text(who, visits));
        }
        mapper.updateSent(row.siteId(), row.accountId(), tomorrow);
    }

    private static String subject(List<Visit> visits, LocalDate day) {
        int minutes = visits.stream().mapToInt(Visit::minutes).sum();
        return DAY.format(day) + ": " + Count.of(visits.size(), "tank") + ", " + Count.of(minutes, "minute");
    }

    private String text(SignedIn who, List<Visit> visits) {
        StringBuilder text = new StringBuilder(accounts.siteName(who)).append("\n\n");
        for (Visit visit : visits) {
            text.append(visit.tank().name())
                    .append(", ")
                    .append(visit.minutes())
                    .append(" min\n")
                    .append(VisitWords.description(visit))
                    .append("\n\n");
        }
        return text.toString();
    }
}
