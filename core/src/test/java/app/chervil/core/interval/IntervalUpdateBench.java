package app.chervil.core.interval;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** Times one update with its window: {@code ./chervil bench interval-update}. */
final class IntervalUpdateBench {
    private static final int SERVICES = 20;
    private static final int REPLAYS = 50_000;
    private static final int ROUNDS = 7;

    private IntervalUpdateBench() {}

    public static void main(String[] arguments) {
        CareRule rule = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                .orElseThrow();
        TaskHistory history = history(new Random(7));
        double sink = 0;
        System.out.println("One update with its window, mean over " + REPLAYS * SERVICES + " updates a round:");
        for (int round = 1; round <= ROUNDS; round++) {
            long begun = System.nanoTime();
            for (int i = 0; i < REPLAYS; i++) {
                sink += Course.replay(rule, history).decision().days().ideal();
            }
            double micros = (System.nanoTime() - begun) / 1000.0 / REPLAYS / SERVICES;
            System.out.printf(
                    Locale.ENGLISH, "round %d  %.3f µs%s%n", round, micros, round < 3 ? "  (warming up)" : "");
        }
        System.out.printf(Locale.ENGLISH, "(checksum %.1f)%n", sink);
    }

    private static TaskHistory history(Random random) {
        LocalDate day = LocalDate.of(2020, 1, 1);
        List<Serviced> services = new ArrayList<>();
        for (int i = 0; i < SERVICES; i++) {
            day = day.plusDays(40 + random.nextInt(60));
            services.add(
                    Serviced.found(day, Finding.values()[random.nextInt(5)]).withFlow(0.4 + 0.5 * random.nextDouble()));
        }
        return new TaskHistory(Start.exact(LocalDate.of(2020, 1, 1)), StartingLoad.NORMAL, services, List.of());
    }
}
