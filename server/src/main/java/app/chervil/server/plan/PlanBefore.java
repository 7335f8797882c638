package app.chervil.server.plan;

import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Fixed;
import app.chervil.core.plan.Instance.How;
import app.chervil.server.plan.PlanInput.Work;
import app.chervil.server.plan.PlanMapper.DecisionRow;
import app.chervil.server.plan.PlanSnapshot.ChainState;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Carries the plan of yesterday and what keepers decided over to today. */
final class PlanBefore {
    private PlanBefore() {}

    /** Work that was left out on a day gone by counts as done then. */
    static PlanInput skipped(PlanInput input, List<DecisionRow> decisions) {
        Map<Long, Work> work = new LinkedHashMap<>(input.work());
        for (DecisionRow decision : decisions) {
            Work one = work.get(decision.chain());
            if (one != null && counts(decision, one, input.today())) {
                work.put(decision.chain(), from(one, day(input.today(), decision.onDay())));
            }
        }
        return new PlanInput(
                input.today(),
                input.tanks(),
                work,
                input.waiting(),
                input.logged(),
                input.setUps(),
                input.time(),
                input.forecasts());
    }

    private static boolean counts(DecisionRow decision, Work one, LocalDate today) {
        return decision.how() == How.SKIPPED
                && decision.onDay().isBefore(today)
                && decision.onDay().isAfter(one.since());
    }

    private static Work from(Work one, int day) {
        Chain chain = one.chain();
        Rhythm rhythm = chain.rhythm();
        Chain later = new Chain(
                chain.id(),
                chain.place(),
                new Rhythm(rhythm.gap().plus(day), rhythm.gap(), rhythm.times()),
                chain.work(),
                chain.demand());
        return new Work(later, one.subject(), one.since(), one.window(), one.hold());
    }

    static Before of(PlanInput input, PlanSnapshot snapshot, List<DecisionRow> decisions) {
        Map<Long, List<Integer>> published = new HashMap<>();
        snapshot.chains().forEach((id, state) -> input.find(id)
                .filter(work -> !state.since().isAfter(work.since()))
                .ifPresent(work -> published.put(id, remaining(input.today(), work, state))));
        return new Before(fixed(input.today(), decisions, published), published, List.of());
    }

    /** What was planned, less what has been done since: a planned day sooner than half an interval after it was meant by it. */
    private static List<Integer> remaining(LocalDate today, Work work, ChainState state) {
        int half = work.chain().rhythm().gap().ideal() / 2;
        boolean done = work.since().isAfter(state.since());
        return state.days().stream()
                .filter(day -> !done || ChronoUnit.DAYS.between(work.since(), day) > half)
                .map(day -> day(today, day))
                .toList();
    }

    private static List<Fixed> fixed(LocalDate today, List<DecisionRow> decisions, Map<Long, List<Integer>> published) {
        List<Fixed> fixed = new ArrayList<>();
        Map<Long, Fixed> last = new HashMap<>();
        for (DecisionRow decision : decisions) {
            int day = day(today, decision.onDay());
            if (day < 0) {
                continue;
            }
            List<Integer> told = published.getOrDefault(decision.chain(), List.of());
            int k = told.indexOf(day);
            int which = k >= 0
                    ? k
                    : (int) told.stream().filter(other -> other < day).count();
            Fixed before = last.get(decision.chain());
            boolean fits = day >= which
                    && (before == null || (which > before.k() && day - before.day() >= which - before.k()));
            if (fits) {
                Fixed one = new Fixed(decision.chain(), which, day, decision.how());
                fixed.add(one);
                last.put(decision.chain(), one);
            }
        }
        return fixed;
    }

    static int day(LocalDate today, LocalDate date) {
        return Math.toIntExact(ChronoUnit.DAYS.between(today, date));
    }
}
