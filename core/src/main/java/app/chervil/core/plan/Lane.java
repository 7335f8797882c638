package app.chervil.core.plan;

import app.chervil.core.plan.Instance.Fixed;
import app.chervil.core.plan.Instance.How;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;

/** A chain laid out over the days: how often it occurs, on which days each time may fall, and what the days cost by themselves. */
final class Lane {
    private static final int LEAST_BEFORE = 2;
    private static final int LEAST_AFTER = 11;
    private static final int FURTHER_IF_SPACED = 35;

    final Chain chain;
    final int index;

    /** First and last day of each occurrence. */
    final int[] from;

    final int[] to;
    final boolean[] skipped;

    /** Day that people were told, or -1. */
    final int[] published;

    private final long[] firstCost;
    private final long[] gapCost;
    private final int bestGap;

    Lane(Instance instance, Closures closures, Timings timings, Chain chain, int index) {
        this.chain = chain;
        this.index = index;
        int days = instance.days();
        List<Fixed> fixed = instance.before().fixed(chain.id());
        int[] nominal = nominal(chain, fixed, closures, days);
        int count = nominal.length;
        from = new int[count];
        to = new int[count];
        skipped = new boolean[count];
        published = published(instance, chain, count);
        for (int k = 0; k < count; k++) {
            int earliest = closures.shifted(nominal[k], -Math.max(LEAST_BEFORE, interval() / 2));
            from[k] = Math.max(Math.max(k, chain.demand().notBefore()), earliest);
            to[k] = Math.min(days - 1, closures.shifted(nominal[k], reachAfter()));
            to[k] = Math.max(from[k], k == 0 ? Math.min(to[k], chain.demand().notAfter()) : to[k]);
        }
        fixed.stream().filter(one -> one.k() < count).forEach(this::fix);
        firstCost = timings.of(chain.rhythm().first(), chain.rhythm().scale(), false);
        gapCost = timings.of(chain.rhythm().gap(), interval(), chain.demand().spaced());
        bestGap = chain.demand().spaced() ? Math.max(Weights.APART_DAYS, interval()) : interval();
    }

    int count() {
        return from.length;
    }

    int interval() {
        return chain.rhythm().gap().ideal();
    }

    /** Packed cost of an occurrence by its own day, its distance from the one before and what was published. */
    long own(int k, int before, int day) {
        return byDay(k, day) + (k == 0 ? 0 : gapCost[day - before]);
    }

    /** Packed cost of an occurrence but for its distance from the one before. */
    long byDay(int k, int day) {
        long moved = published[k] >= 0 ? Weights.moved(published[k], day) : 0;
        return k == 0 ? moved + firstCost[day] : moved;
    }

    /** Packed cost of a distance between neighbours. */
    long gap(int days) {
        return gapCost[days];
    }

    /** The distance between neighbours that costs least; the farther from it, the more or as much. */
    int bestGap() {
        return bestGap;
    }

    private int reachAfter() {
        int usual = Math.max(LEAST_AFTER, (6 * interval() + 9) / 10);
        return chain.demand().spaced() ? usual + FURTHER_IF_SPACED : usual;
    }

    private static int[] nominal(Chain chain, List<Fixed> fixed, Closures closures, int days) {
        int[] nominal = new int[days];
        int count = 0;
        int next = Math.max(
                Math.max(0, chain.rhythm().first().ideal()), chain.demand().notBefore());
        int most = chain.rhythm().times() == Chain.Times.ONCE ? 1 : days;
        while (next < days && count < most) {
            // What would fall into a closure waits; it does not pile up.
            next = closures.after(next);
            for (Fixed one : fixed) {
                next = one.k() == count ? one.day() : next;
            }
            if (next >= days) {
                break;
            }
            nominal[count] = Math.max(next, count);
            next = nominal[count] + chain.rhythm().gap().ideal();
            count++;
        }
        return Arrays.copyOf(nominal, count);
    }

    /** Holds an occurrence to a day and makes room for its neighbours. */
    private void fix(Fixed one) {
        int k = one.k();
        skipped[k] = one.how() == How.SKIPPED;
        for (int j = 0; j < count(); j++) {
            int shifted = one.day() + j - k;
            if (j == k) {
                from[j] = to[j] = one.day();
            } else if (j < k) {
                from[j] = Math.max(0, Math.min(from[j], shifted));
                to[j] = Math.min(to[j], shifted);
            } else {
                from[j] = Math.max(from[j], shifted);
                to[j] = Math.max(to[j], from[j]);
            }
        }
    }

    /** What lies beyond the published days was told to nobody. */
    private static int[] published(Instance instance, Chain chain, int count) {
        int[] told = new int[count];
        Arrays.fill(told, -1);
        List<Integer> days = instance.before().published().getOrDefault(chain.id(), List.of());
        for (int k = 0; k < Math.min(count, days.size()); k++) {
            int day = Objects.requireNonNull(days.get(k));
            told[k] = day < instance.publishedDays() ? day : -1;
        }
        return told;
    }
}
