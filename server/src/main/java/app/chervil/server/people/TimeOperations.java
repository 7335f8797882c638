package app.chervil.server.people;

import app.chervil.core.agenda.People;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareAction;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteMemory;
import app.chervil.server.people.TimeMapper.ExceptionRow;
import app.chervil.server.people.TimeMapper.HoursRow;
import app.chervil.server.people.TimeMapper.PersonRow;
import app.chervil.server.people.TimeMapper.Said;
import app.chervil.server.people.TimeView.DayException;
import app.chervil.server.people.TimeView.ExceptionInput;
import app.chervil.server.people.TimeView.HelperInput;
import app.chervil.server.people.TimeView.HelperWork;
import app.chervil.server.people.TimeView.PersonTime;
import app.chervil.server.people.TimeView.WeekInput;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who has how much time on which day, and what helpers may do. */
@Service
public class TimeOperations {
    private static final int MOST_DAYS = 366;

    /** Stored where a keeper chose that helpers may do everything. */
    private static final String NOTHING = "NOTHING";

    private final TimeMapper mapper;
    private final TankOperations tanks;
    private final SiteMemory memory;

    TimeOperations(TimeMapper mapper, TankOperations tanks, SiteMemory memory) {
        this.memory = memory;
        this.mapper = mapper;
        this.tanks = tanks;
    }

    /** The people of the site with the time they have from today on. */
    @Transactional(readOnly = true)
    public People people(SignedIn who) {
        return memory.recall(who.siteId(), People.class, () -> load(who));
    }

    private People load(SignedIn who) {
        Said said = mapper.find(who.siteId(), tanks.today());
        List<HoursRow> hours = said.hours();
        return new People(
                said.people().stream()
                        .map(person -> new People.Person(
                                person.id(),
                                person.name(),
                                person.role() == Role.KEEPER ? Hands.KEEPER : Hands.ANYONE,
                                week(person, hours)))
                        .toList(),
                hours.isEmpty(),
                said.exceptions().stream().map(ExceptionRow::days).toList(),
                said.keeperOnly().isEmpty() ? People.USUALLY_KEEPER : Set.copyOf(said.keeperOnly()));
    }

    @Transactional(readOnly = true)
    public TimeView find(SignedIn who) {
        return view(people(who));
    }

    private static TimeView view(People people) {
        List<HelperWork> work = new ArrayList<>();
        for (CareAction action : CareAction.values()) {
            String kind = action.name();
            work.add(new HelperWork(kind, words(action), !people.keeperOnly().contains(kind)));
        }
        for (TankChore chore : TankChore.values()) {
            String kind = chore.name();
            work.add(new HelperWork(
                    kind, FirstLetter.upper(chore.words()), !people.keeperOnly().contains(kind)));
        }
        return new TimeView(
                people.all().stream().map(TimeOperations::view).toList(),
                people.assumed(),
                people.exceptions().stream().map(TimeOperations::view).toList(),
                work);
    }

    private static PersonTime view(People.Person person) {
        Role role = person.hands() == Hands.KEEPER ? Role.KEEPER : Role.HELPER;
        return new PersonTime(person.account(), person.name(), role, person.minutes());
    }

    private static DayException view(People.UnusualDays days) {
        return new DayException(
                days.id(), days.account().orElse(null), days.firstDay(), days.lastDay(), days.minutes(), days.note());
    }

    private static String words(CareAction action) {
        return action == CareAction.OPEN
                ? "Open a canister"
                : FirstLetter.upper(action.name().toLowerCase(Locale.ROOT));
    }

    private static List<Integer> week(PersonRow person, List<HoursRow> rows) {
        int usual = rows.isEmpty() && person.role() == Role.KEEPER ? People.USUAL_MINUTES : 0;
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

    /** Adds exceptions. */
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
        if (account != null && people(who).all().stream().noneMatch(person -> person.account() == account)) {
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
}
