package app.chervil.server.plan;

import app.chervil.core.agenda.Agenda;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.Replanning;
import app.chervil.core.agenda.Standing;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Why;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteMemory;
import app.chervil.server.book.SiteMemory.Earlier;
import app.chervil.server.book.SiteMemory.Renewed;
import app.chervil.server.plan.PlanMapper.Lately;
import app.chervil.server.plan.PlanMapper.PlanRow;
import app.chervil.server.plan.PlanView.DayPrices;
import app.chervil.server.plan.PlanView.PlanItem;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The plan in force. Nothing tells it of logs, readings or days off: at every question it follows from the plan that people
 * were told and from what the site's picture says now. What follows is kept soon after, by whoever came to know it.
 */
@Service
public class PlanInForceOperations {
    static final Duration UNDO_WITHIN = Duration.ofDays(7);

    private final PlanMapper mapper;
    private final SiteMemory memory;
    private final Agendas agendas;
    private final PlanKeeper keeper;
    private final Clock clock;

    PlanInForceOperations(PlanMapper mapper, SiteMemory memory, Agendas agendas, PlanKeeper keeper, Clock clock) {
        this.mapper = mapper;
        this.memory = memory;
        this.agendas = agendas;
        this.keeper = keeper;
        this.clock = clock;
    }

    /** The question for what people see of so many weeks. */
    private record Page(int weeks) {}

    /** The question for the plan of the usual weeks, or as many as were told before. */
    private record InForce() implements Renewed {}

    /** The question for the plan of more weeks, which follows from the one in force whenever it is asked. */
    private record Further(int weeks) {}

    /**
     * The plan of the coming weeks.
     *
     * @param weeks 1 to 26
     * @throws Rejected if there are more or fewer
     */
    @Transactional(readOnly = true)
    public PlanView view(SignedIn who, int weeks) {
        check(weeks);
        return memory.recall(who.siteId(), new Page(weeks), () -> page(who, weeks));
    }

    static void check(int weeks) {
        new Rejected.Gatherer()
                .check(weeks >= 1 && weeks <= Replanning.MOST_WEEKS, "weeks", "out-of-range", "1 to 26 weeks.")
                .done();
    }

    private PlanView page(SignedIn who, int weeks) {
        Known known = known(who, weeks);
        Lately lately = lately(who);
        List<Moved> changes = Stream.concat(known.untold().stream(), lately.moved().stream())
                .distinct()
                .limit(PlanViews.MOST_CHANGES)
                .toList();
        return new PlanViews(known.standing()).of(weeks, changes, lately.undo());
    }

    private Lately lately(SignedIn who) {
        return mapper.findLately(who.siteId(), clock.instant().minus(UNDO_WITHIN), PlanViews.MOST_CHANGES);
    }

    /** The plan in force. */
    @Transactional(readOnly = true)
    public Standing inForce(SignedIn who) {
        return known(who, 1).standing();
    }

    /** A person's visits; keepers also see those that nobody has time for. */
    @Transactional(readOnly = true)
    public List<Standing.Visit> visitsOf(SignedIn who) {
        return inForce(who).visits().stream()
                .filter(visit -> visit.booked()
                        .account()
                        .map(account -> account == who.accountId())
                        .orElse(who.role() == Role.KEEPER))
                .toList();
    }

    /** More weeks than were told before follow from the plan of those that were: there is one plan, longer or shorter. */
    Known known(SignedIn who, int weeks) {
        Known usual = memory.renew(
                who.siteId(),
                new InForce(),
                (Optional<Earlier<Known>> before) -> keptSoon(who, usual(who, before.map(Earlier::answer))));
        return usual.standing().told().weeks() >= weeks
                ? usual
                : memory.recall(
                        who.siteId(),
                        new Further(weeks),
                        () -> keptSoon(
                                who, usual.further(agendas.of(who, Optional.of(usual)), weeks, clock.instant())));
    }

    private Known keptSoon(SignedIn who, Known known) {
        keeper.keepSoon(who.siteId(), known);
        return known;
    }

    private Known usual(SignedIn who, Optional<Known> before) {
        Agenda agenda = agendas.of(who, before);
        return before.flatMap(earlier -> then(who, earlier, agenda))
                .orElseGet(() -> Known.of(find(who, agenda.today()), agenda, Replanning.USUAL_WEEKS, clock.instant()));
    }

    /** What follows from a plan in memory, if it is the one that is kept or leads on from it. */
    private Optional<Known> then(SignedIn who, Known earlier, Agenda agenda) {
        String kept = mapper.findMark(who.siteId()).orElse(Known.NONE);
        return earlier.leadsFrom(kept)
                ? Optional.of(earlier.then(kept, agenda, Replanning.USUAL_WEEKS, clock.instant()))
                : Optional.empty();
    }

    Optional<PlanRow> find(SignedIn who, LocalDate today) {
        return mapper.find(
                who.siteId(),
                today.minusDays(PlanKeeper.VISITS_KEPT_DAYS),
                today.minusDays(Replanning.SKIPS_COUNT_DAYS));
    }

    /**
     * Why work lies on its day, and what every other day would cost.
     *
     * @param weeks of the plan that is looked at, 1 to 26: its last ones may not be kept yet
     * @throws NotFound if it is not planned so
     * @throws Rejected if there are more or fewer weeks
     */
    @Transactional(readOnly = true)
    public DayPrices prices(SignedIn who, List<PlanItem> items, int weeks) {
        check(weeks);
        Standing standing = known(who, weeks).standing();
        List<Occurrence> together =
                items.stream().map(item -> Decision.occurrence(standing, item)).toList();
        if (together.isEmpty()) {
            throw new NotFound("work");
        }
        Why why = new Why(standing.instance(), standing.plan(), standing.today(), chain -> standing.agenda()
                .of(chain)
                .subject()
                .words());
        return PlanViews.prices(why.of(together), standing.today());
    }
}
