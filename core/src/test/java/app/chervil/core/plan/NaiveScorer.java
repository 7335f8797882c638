package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Reach;
import app.chervil.core.plan.Plan.Occurrence;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Scores a plan from its days alone, by the written rules and without any counter, in as plain a way as can be. */
final class NaiveScorer {
    private final Instance instance;
    private final List<Occurrence> all = new ArrayList<>();
    private final Plan plan;

    NaiveScorer(Instance instance, Plan plan) {
        this.instance = instance;
        this.plan = plan;
        for (Chain chain : instance.chains()) {
            for (int k = 0; k < plan.of(chain.id()).size(); k++) {
                if (!instance.skips(chain.id(), k)) {
                    all.add(new Occurrence(chain, k, plan.of(chain.id()).get(k)));
                }
            }
        }
    }

    Score score() {
        long hard = 0;
        long soft = 0;
        for (Chain chain : instance.chains()) {
            soft += timing(chain);
            hard += tooSoonAfterItself(chain);
        }
        for (int day = 0; day < instance.days(); day++) {
            Hours.Day hours = instance.hours().days().get(day);
            int setUp = setUp(day);
            int minutes = setUp + work(day, false);
            soft += 10L * setUp + level(minutes, hours.all());
            hard += over(minutes, hours.all()) + over(work(day, true), hours.keeper());
        }
        return new Score(hard + spacing() + apart(), soft);
    }

    private long timing(Chain chain) {
        long points = 0;
        List<Integer> on = plan.of(chain.id());
        List<Integer> told = instance.before().published().getOrDefault(chain.id(), List.of());
        for (int k = 0; k < on.size(); k++) {
            int interval =
                    k == 0 ? chain.rhythm().scale() : chain.rhythm().gap().ideal();
            Span span = k == 0 ? chain.rhythm().first() : chain.rhythm().gap().plus(on.get(k - 1));
            int day = on.get(k);
            double slopes = 0;
            for (int late = span.ideal() + 1; late <= day; late++) {
                int beyond = late - span.latest();
                int room = Math.max(1, span.latest() - span.ideal());
                slopes += beyond <= 0 ? 3 : beyond <= room ? 10 : 30;
            }
            for (int early = span.ideal() - 1; early >= day; early--) {
                slopes += early >= span.earliest() ? 1 : 3;
            }
            points += (long) Math.floor(200 * slopes / interval + 0.5 * (interval - interval % 2) / interval);
            if (k < told.size() && told.get(k) < instance.publishedDays() && told.get(k) != day) {
                points += (40 + 5L * Math.abs(told.get(k) - day)) * (told.get(k) < 7 ? 3 : 1);
            }
        }
        return points;
    }

    private long tooSoonAfterItself(Chain chain) {
        long points = 0;
        List<Integer> on = plan.of(chain.id());
        for (int k = 1; chain.demand().spaced() && k < on.size(); k++) {
            points += 10L * Math.max(0, 7 - (on.get(k) - on.get(k - 1)));
        }
        return points;
    }

    private int setUp(int day) {
        Set<Integer> rooms = new HashSet<>();
        Set<Long> tanks = new HashSet<>();
        Set<Long> changed = new HashSet<>();
        Set<Long> opened = new HashSet<>();
        for (Occurrence one : all) {
            if (one.day() == day) {
                rooms.add(instance.setUps().rooms().get(one.chain().place().tank()));
                tanks.add(one.chain().place().tank());
                if (one.chain().work().reach() == Reach.WATER_CHANGE) {
                    changed.add(one.chain().place().tank());
                }
                if (one.chain().work().reach() == Reach.OPENED) {
                    opened.add(one.chain().place().filter());
                }
            }
        }
        tanks.removeAll(changed);
        int minutes = rooms.size() * instance.setUps().roomMinutes()
                + tanks.size() * instance.setUps().tankMinutes();
        for (long filter : opened) {
            minutes += instance.setUps().openingMinutes().getOrDefault(filter, 0);
        }
        return minutes;
    }

    private int work(int day, boolean keeperOnly) {
        return all.stream()
                .filter(one ->
                        one.day() == day && (!keeperOnly || one.chain().work().hands() == Hands.KEEPER))
                .mapToInt(one -> one.chain().work().minutes())
                .sum();
    }

    private static long level(int minutes, int capacity) {
        double points = 0;
        points += 2 * Math.max(0, minutes - 0.5 * capacity);
        points += 6 * Math.max(0, minutes - 0.8 * capacity);
        return (long) Math.floor(points + 1e-9);
    }

    private static long over(int minutes, int capacity) {
        return (long) Math.max(0, minutes - capacity) * (capacity == 0 ? 3 : 1);
    }

    private long spacing() {
        long points = 0;
        for (Occurrence a : all) {
            if (!a.chain().demand().spaced()) {
                continue;
            }
            for (Occurrence b : all) {
                if (b.chain().demand().spaced()
                        && a.chain().id().compareTo(b.chain().id()) < 0) {
                    points += close(a, b.chain().place(), b.day());
                }
            }
            for (Instance.Logged logged : instance.before().logged()) {
                points += close(a, logged.place(), logged.day());
            }
        }
        return points;
    }

    private static long close(Occurrence a, Chain.Place other, int day) {
        boolean sameOpening = a.day() == day && a.chain().place().filter() == other.filter();
        boolean sameTank = a.chain().place().tank() == other.tank();
        return sameTank && !sameOpening ? 10L * Math.max(0, 7 - Math.abs(a.day() - day)) : 0;
    }

    private long apart() {
        long points = 0;
        for (Occurrence one : all) {
            if (one.chain().demand().with().isPresent()) {
                ChainId partner = one.chain().demand().with().get();
                points += all.stream().anyMatch(other -> other.chain().id().equals(partner) && other.day() == one.day())
                        ? 0
                        : 100;
            }
        }
        return points;
    }
}
