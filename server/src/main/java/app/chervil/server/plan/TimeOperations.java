package app.chervil.server.plan;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareAction;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Rota;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.Account;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.TimeMapper.HoursRow;
import app.chervil.server.plan.TimeView.DayException;
import app.chervil.server.plan.TimeView.ExceptionInput;
import app.chervil.server.plan.TimeView.HelperInput;
import app.chervil.server.plan.TimeView.HelperWork;
import app.chervil.server.plan.TimeView.PersonTime;
import app.chervil.server.plan.TimeView.WeekInput;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who has how much time on which day, and what helpers may do. */
@Service
public class TimeOperations {
    private static final int USUAL_MINUTES = 60;
    private static final int MOST_DAYS = 366;

    /** Stored where a keeper chose that helpers may do everything. */
    private static final String NOTHING = "NOTHING";

    /** Electrical openings and chemicals stay with the keeper until said otherwise. */
    private static final Set<String> USUALLY_KEEPER =
            Set.of(CareAction.OPEN.name(), CareAction.REGENERATE.name(), CareAction.DESCALE.name());

    private final TimeMapper mapper;
    private final AccountOperations accounts;
    private final TankOperations tanks;

    TimeOperations(TimeMapper mapper, AccountOperations accounts, TankOperations tanks) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.tanks = tanks;
    }

    @Transactional(readOnly = true)
    public TimeView find(SignedIn who) {
        List<HoursRow> rows = mapper.listHours(who.siteId());
        List<PersonTime> people = accounts.list(who).stream()
                .map(person -> new PersonTime(person.id(), person.name(), person.role(), week(person, rows)))
                .toList();
        Set<String> keeperOnly = keeperOnly(who);
        List<HelperWork> work = new ArrayList<>();
        for (CareAction action : CareAction.values()) {
            String kind = action.name();
            work.add(new HelperWork(kind, words(action), !keeperOnly.contains(kind)));
        }
        for (TankChore chore : TankChore.values()) {
            String kind = chore.name();
            work.add(new HelperWork(kind, FirstLetter.upper(chore.words()), !keeperOnly.contains(kind)));
        }
        return new TimeView(people, rows.isEmpty(), mapper.listExceptions(who.siteId(), tanks.today()), work);
    }

    private static String words(CareAction action) {
        return action == CareAction.OPEN
                ? "Open a canister"
                : FirstLetter.upper(action.name().toLowerCase(Locale.ROOT));
    }

    private static List<Integer> week(Account person, List<HoursRow> rows) {
        int usual = rows.isEmpty() && person.role() == Role.KEEPER ? USUAL_MINUTES : 0;
        List<Integer> week = new ArrayList<>();
        for (int weekday = 1; weekday <= 7; weekday++) {
            int day = weekday;
            week.add(rows.stream()
                    .filter(row -> row.accountId() == person.id() && row.weekday() == day)
                    .map(HoursRow::minutes)
                    .findFirst()
                    .orElse(usual));
        }
        return week;
    }

    /** Work that only keepers may do, by name. */
    @Transactional(readOnly = true)
    Set<String> keeperOnly(SignedIn who) {
        List<String> stored = mapper.listKeeperOnly(who.siteId());
        return stored.isEmpty() ? USUALLY_KEEPER : new HashSet<>(stored);
    }

    /**
     * Stores a person's week. Nothing is assumed of anyone from then on.
     *
     * @throws NotFound if the site has no such person
     */
    @Transactional
    public TimeView saveWeek(SignedIn who, long account, WeekInput input) {
        who.mustBeKeeper();
        TimeView before = find(who);
        if (before.people().stream().noneMatch(person -> person.accountId() == account)) {
            throw new NotFound("person");
        }
        // What was assumed of others becomes what is known of them.
        for (PersonTime person : before.people()) {
            List<Integer> week = person.accountId() == account ? input.minutes() : person.minutes();
            for (int day = 0; day < 7 && (before.assumed() || person.accountId() == account); day++) {
                mapper.saveHours(who.siteId(), person.accountId(), day + 1, Objects.requireNonNull(week.get(day)));
            }
        }
        return find(who);
    }

    /** Adds days that are not as usual. */
    @Transactional
    public TimeView addException(SignedIn who, ExceptionInput input) {
        who.mustBeKeeper();
        long length = ChronoUnit.DAYS.between(input.firstDay(), input.lastDay());
        new Rejected.Gatherer()
                .check(length >= 0, "lastDay", "before-first", "The last day lies before the first.")
                .check(length < MOST_DAYS, "lastDay", "too-long", "At most a year at a time.")
                .check(!input.lastDay().isBefore(tanks.today()), "lastDay", "over", "These days are over.")
                .done();
        Long account = input.accountId();
        if (account != null && accounts.list(who).stream().noneMatch(person -> person.id() == account)) {
            throw Rejected.field("accountId", "unknown", "There is no such person.");
        }
        mapper.insertException(who.siteId(), input);
        return find(who);
    }

    @Transactional
    public TimeView removeException(SignedIn who, long id) {
        who.mustBeKeeper();
        if (mapper.deleteException(who.siteId(), id) == 0) {
            throw new NotFound("exception");
        }
        return find(who);
    }

    /** Stores which kinds of work helpers may not do. */
    @Transactional
    public TimeView saveHelpers(SignedIn who, HelperInput input) {
        who.mustBeKeeper();
        Set<String> known = find(who).work().stream().map(HelperWork::work).collect(Collectors.toSet());
        new Rejected.Gatherer()
                .check(known.containsAll(input.keeperOnly()), "keeperOnly", "unknown", "There is no such work.")
                .done();
        mapper.deleteKeeperOnly(who.siteId());
        (input.keeperOnly().isEmpty() ? List.of(NOTHING) : input.keeperOnly())
                .forEach(work -> mapper.insertKeeperOnly(who.siteId(), work));
        return find(who);
    }

    /** The people of a day with their minutes. */
    static List<Rota.Person> on(TimeView time, LocalDate day) {
        return time.people().stream()
                .map(person -> new Rota.Person(
                        person.accountId(),
                        minutes(time, person, day),
                        person.role() == Role.KEEPER ? Hands.KEEPER : Hands.ANYONE))
                .toList();
    }

    /** A person's own exception weighs before one for everyone, a later one before an earlier. */
    private static int minutes(TimeView time, PersonTime person, LocalDate day) {
        return time.exceptions().stream()
                .filter(one -> !day.isBefore(one.firstDay()) && !day.isAfter(one.lastDay()))
                .filter(one -> one.accountId() == null || one.accountId() == person.accountId())
                .max(Comparator.comparing((DayException one) -> one.accountId() != null)
                        .thenComparing(DayException::id))
                .map(DayException::minutes)
                .orElseGet(() -> person.minutes().get(day.getDayOfWeek().getValue() - 1));
    }

    /** People by id. */
    static Map<Long, String> names(TimeView time) {
        return time.people().stream().collect(Collectors.toMap(PersonTime::accountId, PersonTime::name));
    }
}
