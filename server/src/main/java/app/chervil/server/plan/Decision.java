package app.chervil.server.plan;

import app.chervil.core.agenda.Decided;
import app.chervil.core.agenda.PlanState;
import app.chervil.core.agenda.Standing;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.server.plan.PlanDecision.How;
import app.chervil.server.plan.PlanView.PlanItem;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * What a keeper decided, on the plan that was seen.
 *
 * @param items occurrences it is about
 */
record Decision(PlanDecision asked, Standing standing, List<Occurrence> items) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    /**
     * Checks it against the plan.
     *
     * @throws NotFound if work is not planned so
     * @throws Rejected if the day does not fit
     */
    static Decision of(PlanDecision asked, Standing standing) {
        Decision decision = new Decision(
                asked,
                standing,
                asked.items().stream().map(item -> occurrence(standing, item)).toList());
        if (asked.how() == How.PIN) {
            decision.checkDay();
        }
        return decision;
    }

    static Occurrence occurrence(Standing standing, PlanItem item) {
        return standing.occurrence(new ChainId(item.chain()), item.on()).orElseThrow(() -> new NotFound("work"));
    }

    private void checkDay() {
        LocalDate to = asked.to();
        LocalDate today = standing.today();
        LocalDate end = standing.date(standing.instance().publishedDays());
        new Rejected.Gatherer()
                .check(to != null, "to", "missing", "To which day?")
                .check(to == null || !to.isBefore(today), "to", "gone-by", "This day has gone by.")
                .check(to == null || to.isBefore(end), "to", "too-far", "This day lies beyond the plan.")
                .done();
        Rejected.Gatherer turns = new Rejected.Gatherer();
        items.forEach(item -> turns.check(
                inTurn(item, day()),
                "to",
                "out-of-turn",
                "Choose a day between the previous and the next one: this would pass another time of "
                        + standing.agenda().of(item.chain().id()).subject().words() + "."));
        turns.done();
    }

    private boolean inTurn(Occurrence item, LocalDate to) {
        List<LocalDate> days = standing.plan().of(item.chain().id()).stream()
                .map(standing::date)
                .toList();
        boolean after = item.k() == 0 || to.isAfter(days.get(item.k() - 1));
        boolean before = item.k() + 1 >= days.size() || to.isBefore(days.get(item.k() + 1));
        return after && before;
    }

    private LocalDate day() {
        return Objects.requireNonNull(asked.to());
    }

    private LocalDate on(Occurrence item) {
        return standing.date(item.day());
    }

    /** Whether it ends an earlier decision. */
    boolean ends(Decided earlier) {
        return items.stream()
                .anyMatch(item -> earlier.chain().equals(item.chain().id())
                        && earlier.on().equals(on(item)));
    }

    /** What is decided from now on. */
    List<Decided> begun() {
        return items.stream().flatMap(this::begun).toList();
    }

    private Stream<Decided> begun(Occurrence item) {
        ChainId chain = item.chain().id();
        return switch (asked.how()) {
            case PIN -> Stream.of(new Decided(0, chain, day(), Instance.How.PINNED));
            case SKIP -> Stream.of(new Decided(0, chain, on(item), Instance.How.SKIPPED));
            case FREE -> Stream.empty();
        };
    }

    /** The plan with what was moved on its new day. */
    PlanState moved(PlanState state) {
        PlanState moved = state;
        if (asked.how() == How.PIN) {
            for (Occurrence item : items) {
                moved = moved.moved(item.chain().id(), on(item), day());
            }
        }
        return moved;
    }

    /** For the list of what the plan was moved for, and for undoing. */
    String words() {
        Occurrence first = items.get(0);
        String what = items.size() == 1
                ? standing.agenda().of(first.chain().id()).subject().words()
                : items.size() + " tasks";
        String where =
                " on " + standing.agenda().tank(first.chain().place().tank()).name();
        return switch (asked.how()) {
            case PIN -> (day().equals(on(first)) ? "pinned " : "moved ") + what + where + " to " + DAY.format(day());
            case SKIP -> "left out " + what + where;
            case FREE -> "freed " + what + where;
        };
    }
}
