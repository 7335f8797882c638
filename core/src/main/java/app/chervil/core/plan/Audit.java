package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Trouble.Apart;
import app.chervil.core.plan.Trouble.Late;
import app.chervil.core.plan.Trouble.TooClose;
import app.chervil.core.plan.Trouble.TooMuch;
import app.chervil.core.plan.Trouble.TooMuchForKeeper;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads a plan for what cannot be had, and for the minutes of its days. */
public final class Audit {
    private final Instance instance;
    private final Plan plan;
    private final List<Visit> visits;
    private final Map<Integer, List<Visit>> byDay;

    public Audit(Instance instance, Plan plan) {
        this.instance = instance;
        this.plan = plan;
        visits = plan.visits(instance);
        byDay = visits.stream().collect(Collectors.groupingBy(Visit::day));
    }

    public Instance instance() {
        return instance;
    }

    public Plan plan() {
        return plan;
    }

    /** What is done within the published days, by day and tank; skipped work is left out. */
    public List<Visit> visits() {
        return visits;
    }

    /** What is done on a day, by tank. */
    public List<Visit> visits(int day) {
        return byDay.getOrDefault(day, List.of());
    }

    /** Minutes of a visit: its work, the openings it needs, and being at the tank unless its water is changed. */
    public int minutes(Visit visit) {
        SetUps setUps = instance.setUps();
        Set<Long> opened = new HashSet<>();
        boolean waterChange = false;
        int minutes = 0;
        for (Occurrence one : visit.occurrences()) {
            Chain.Work work = one.chain().work();
            minutes += work.minutes();
            waterChange |= work.reach() == Chain.Reach.WATER_CHANGE;
            long filter = one.chain().place().filter();
            if (work.reach() == Chain.Reach.OPENED && opened.add(filter)) {
                minutes += setUps.openingMinutes().getOrDefault(filter, 0);
            }
        }
        return waterChange ? minutes : minutes + setUps.tankMinutes();
    }

    /**
     * Minutes of a day, set-ups included.
     *
     * @param day zero-based, below the number of published days
     */
    public int minutes(int day) {
        List<Visit> ofDay = visits(day);
        int rooms = (int) ofDay.stream()
                .map(visit -> instance.setUps().rooms().getOrDefault(visit.tank(), 0))
                .distinct()
                .count();
        return ofDay.stream().mapToInt(this::minutes).sum()
                + rooms * instance.setUps().roomMinutes();
    }

    private int keeperMinutes(int day) {
        return visits(day).stream()
                .flatMap(visit -> visit.occurrences().stream())
                .filter(one -> one.chain().work().hands() == Hands.KEEPER)
                .mapToInt(one -> one.chain().work().minutes())
                .sum();
    }

    /** What cannot be had within the published days, by day. */
    public List<Trouble> troubles() {
        List<Trouble> found = new ArrayList<>();
        for (int day = 0; day < instance.publishedDays(); day++) {
            Hours.Day hours = instance.hours().days().get(day);
            if (minutes(day) > hours.all()) {
                found.add(new TooMuch(day, minutes(day), hours.all()));
            } else if (keeperMinutes(day) > hours.keeper()) {
                found.add(new TooMuchForKeeper(day, keeperMinutes(day), hours.keeper()));
            }
        }
        tooClose(found);
        visits.forEach(visit -> apart(visit, found));
        instance.chains().forEach(chain -> late(chain, found));
        found.sort(Comparator.comparingInt(Trouble::day));
        return found;
    }

    private void apart(Visit visit, List<Trouble> found) {
        for (Occurrence one : visit.occurrences()) {
            one.chain().demand().with().ifPresent(partner -> {
                if (visit.occurrences().stream()
                        .noneMatch(other -> other.chain().id().equals(partner))) {
                    found.add(new Apart(visit.day(), one.chain().id(), partner));
                }
            });
        }
    }

    private void late(Chain chain, List<Trouble> found) {
        List<Integer> on = plan.of(chain.id());
        for (int k = 0; k < on.size(); k++) {
            int latest = plan.span(new Occurrence(chain, k, on.get(k))).latest();
            if (on.get(k) < instance.publishedDays() && on.get(k) > latest && !instance.skips(chain.id(), k)) {
                found.add(new Late(on.get(k), chain.id(), k, on.get(k) - latest));
            }
        }
    }

    private void tooClose(List<Trouble> found) {
        Map<Long, List<Occurrence>> ofTank = new HashMap<>();
        visits.forEach(visit -> visit.occurrences().stream()
                .filter(one -> one.chain().demand().spaced())
                .forEach(one -> ofTank.computeIfAbsent(visit.tank(), tank -> new ArrayList<>())
                        .add(one)));
        ofTank.forEach((tank, done) -> {
            for (int i = 0; i < done.size(); i++) {
                for (int j = 0; j < i; j++) {
                    between(done.get(j), done.get(i), found);
                }
            }
        });
    }

    private static void between(Occurrence earlier, Occurrence later, List<Trouble> found) {
        boolean sameOpening = earlier.day() == later.day()
                && earlier.chain().place().filter() == later.chain().place().filter();
        if (later.day() - earlier.day() < Weights.APART_DAYS && !sameOpening) {
            found.add(new TooClose(
                    later.day(), later.chain().id(), earlier.chain().id(), earlier.day()));
        }
    }
}
