package app.chervil.server.trial;

import app.chervil.core.site.TaskMode;
import app.chervil.core.trial.Design;
import app.chervil.core.water.Parameter;
import app.chervil.server.problem.Rejected;
import app.chervil.server.trial.TrialMapper.TrialRow;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;

/** What a trial must keep to, so that it can tell something. */
final class TrialChecks {
    private final TrialInput input;
    private final List<Placed> tried;
    private final List<TrialRow> others;
    private final Rejected.Gatherer gatherer = new Rejected.Gatherer();

    /**
     * Checks.
     *
     * @param tried the task on each of its tanks
     * @param others trials of the site
     */
    TrialChecks(TrialInput input, List<Placed> tried, List<TrialRow> others) {
        this.input = input;
        this.tried = List.copyOf(tried);
        this.others = List.copyOf(others);
    }

    /**
     * All of them.
     *
     * @throws Rejected with all that is amiss
     */
    void done() {
        tanks();
        parameters();
        lengths();
        for (int way = 0; way < input.ways().size(); way++) {
            way("ways[" + way + "]", input.ways().get(way));
        }
        gatherer.check(
                        tried.stream().allMatch(this::alone),
                        "taskId",
                        "one-at-a-time",
                        "Another trial runs on this tank in these weeks.")
                .done();
    }

    /** Tanks are compared by what is done to the same kind of stage, and each by itself. */
    private void tanks() {
        Placed first = tried.get(0);
        long different =
                tried.stream().map(one -> one.filter().tankId()).distinct().count();
        gatherer.check(
                        tried.stream()
                                .allMatch(one -> one.kind().equals(first.kind())
                                        && one.task().action() == first.task().action()),
                        "alsoTaskIds",
                        "not-alike",
                        "Choose the same task on the other tanks.")
                .check(different == tried.size(), "alsoTaskIds", "same-tank", "Choose each tank once.")
                .check(
                        !input.isOneEach() || different >= input.ways().size(),
                        "alsoTaskIds",
                        "too-few-tanks",
                        "One way each wants as many tanks as ways, "
                                + input.ways().size() + ".")
                .check(
                        tried.stream()
                                .allMatch(one -> one.task().mode() != TaskMode.OFF
                                        && !one.task().withOpening()),
                        "taskId",
                        "has-no-interval",
                        "This task has no interval of its own.");
    }

    private void parameters() {
        List<Parameter> watched = input.setup(0).watched();
        gatherer.check(
                        TrialTelling.MADE.contains(input.parameter()),
                        "parameter",
                        "not-compared",
                        "Nitrate or phosphate can be compared.")
                .check(
                        new HashSet<>(watched).size() == watched.size() && !watched.contains(input.parameter()),
                        "watched",
                        "watched-twice",
                        "Watch each parameter once, beside the one that is compared.");
    }

    private void lengths() {
        int round = Design.round(input.ways().size());
        gatherer.check(
                        input.isOneEach() || input.periods() % round == 0,
                        "periods",
                        "not-in-rounds",
                        "A multiple of " + round + ", so that each way has as many.")
                .check(
                        new HashSet<>(input.ways()).size() == input.ways().size(),
                        "ways",
                        "same-days",
                        "Different intervals can be compared.");
    }

    private void way(String field, int days) {
        int longest = input.periodDays() * (input.isOneEach() ? input.periods() : 1);
        gatherer.check(
                        days <= longest,
                        field,
                        "too-long",
                        input.isOneEach() ? "At most as long as the trial." : "At most one period.")
                .check(
                        days > 0 || tried.stream().allMatch(Placed::canBeLeftOut),
                        field,
                        "needed",
                        "A filter does not run without this.");
    }

    private boolean alone(Placed placed) {
        LocalDate ends = input.began().plusDays((long) input.periods() * input.periodDays());
        return others.stream()
                .filter(row -> row.tankId() == placed.filter().tankId())
                .noneMatch(row -> row.beganOn().isBefore(ends) && input.began().isBefore(row.until()));
    }
}
