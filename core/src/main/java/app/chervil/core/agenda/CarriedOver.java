package app.chervil.core.agenda;

import app.chervil.core.agenda.Agenda.Work;
import app.chervil.core.agenda.PlanState.ChainState;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Fixed;
import app.chervil.core.plan.Instance.How;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Carries the plan of yesterday and what keepers decided over to today. */
final class CarriedOver {
    private CarriedOver() {}

    /** Work that was left out on a day gone by counts as done then. */
    static Agenda skipped(Agenda agenda, List<Decided> decisions) {
        Map<ChainId, Work> work = new LinkedHashMap<>(agenda.work());
        for (Decided decision : decisions) {
            work.computeIfPresent(
                    decision.chain(),
                    (id, one) -> counts(decision, one, agenda.today())
                            ? from(one, day(agenda.today(), decision.on()))
                            : one);
        }
        return agenda.with(work);
    }

    private static boolean counts(Decided decision, Work one, LocalDate today) {
        return decision.how() == How.SKIPPED
                && decision.on().isBefore(today)
                && decision.on().isAfter(one.since());
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

    static Before before(Agenda agenda, PlanState state, List<Decided> decisions) {
        Map<ChainId, List<Integer>> published = new HashMap<>();
        agenda.work().forEach((id, work) -> {
            ChainState was = state.chains().get(id);
            if (was != null && !was.since().isAfter(work.since())) {
                published.put(id, remaining(agenda.today(), work, was));
            }
        });
        return new Before(fixed(agenda.today(), decisions, published), published, List.of());
    }

    /** What was planned, less what has been done since: a planned day sooner than half an interval after it was meant by it. */
    private static List<Integer> remaining(LocalDate today, Work work, ChainState was) {
        int half = work.chain().rhythm().gap().ideal() / 2;
        boolean done = work.since().isAfter(was.since());
        List<Integer> remaining = new ArrayList<>();
        for (LocalDate day : was.days()) {
            if (!done || day(work.since(), day) > half) {
                remaining.add(day(today, day));
            }
        }
        return remaining;
    }

    private static List<Fixed> fixed(LocalDate today, List<Decided> decisions, Map<ChainId, List<Integer>> published) {
        List<Fixed> fixed = new ArrayList<>();
        Map<ChainId, Fixed> last = new HashMap<>();
        for (Decided decision : decisions) {
            int day = day(today, decision.on());
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
