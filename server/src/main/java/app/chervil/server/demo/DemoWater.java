package app.chervil.server.demo;

import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.water.HusbandryOperations;
import app.chervil.server.water.HusbandryOperations.ChangeInput;
import app.chervil.server.water.Moment;
import app.chervil.server.water.ReadingOperations;
import app.chervil.server.water.ReadingSet;
import app.chervil.server.water.ReadingSet.Value;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Writes weekly readings and water changes of a tank, the same ones however often it is loaded. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoWater {
    private static final double NITRITE_LIMIT = 0.05;
    private static final double AMMONIA_LIMIT = 0.1;

    private final ReadingOperations readings;
    private final HusbandryOperations husbandry;
    private final Clock clock;

    DemoWater(ReadingOperations readings, HusbandryOperations husbandry, Clock clock) {
        this.readings = readings;
        this.husbandry = husbandry;
        this.clock = clock;
    }

    /**
     * What a tank's water does.
     *
     * @param nitratePerWeek rise in mg/L a week
     * @param changeShare of the tank, each week
     */
    record Nature(double nitratePerWeek, double changeShare, double ph, double celsius, boolean salt) {}

    /** A reading set a week before each change, up to some days ago. */
    void weekly(SignedIn who, long tank, double litres, Nature nature, int fromDaysAgo, int toDaysAgo) {
        Random random = new Random(tank);
        double nitrate = nature.nitratePerWeek() / Math.max(0.1, nature.changeShare());
        for (int day = fromDaysAgo; day >= toDaysAgo; day -= 7) {
            nitrate += nature.nitratePerWeek();
            List<Value> set = new ArrayList<>(List.of(
                    below(Parameter.AMMONIA, AMMONIA_LIMIT),
                    below(Parameter.NITRITE, NITRITE_LIMIT),
                    value(Parameter.NITRATE, (double) Math.round(nitrate * (1 + 0.06 * random.nextGaussian()))),
                    value(Parameter.PH, tenth(nature.ph() + 0.08 * random.nextGaussian())),
                    value(Parameter.TEMPERATURE, tenth(nature.celsius() + 0.5 * random.nextGaussian()))));
            if (nature.salt()) {
                set.add(value(Parameter.SALINITY, tenth(34.5 + 0.3 * random.nextGaussian())));
                set.add(value(Parameter.PHOSPHATE, Math.max(0.01, tenth(nitrate / 40 * 10) / 10)));
            }
            read(who, tank, day, set);
            change(who, tank, day, litres * nature.changeShare());
            nitrate *= 1 - nature.changeShare();
        }
    }

    /** Values read at about six in the evening. */
    void read(SignedIn who, long tank, int daysAgo, List<Value> values) {
        readings.keep(who, tank, new ReadingSet(at(daysAgo, 18), Moment.PLAIN, named(tank, daysAgo, values)));
    }

    private void change(SignedIn who, long tank, int daysAgo, double litres) {
        husbandry.change(
                who,
                tank,
                id("change", tank, daysAgo),
                new ChangeInput(at(daysAgo, 19), (double) Math.round(litres), 0, null, null, null, ""));
    }

    /** That hour of a day, or a while ago if it has not come yet. */
    private Instant at(int daysAgo, int hour) {
        Instant then = LocalDate.now(clock)
                .minusDays(daysAgo)
                .atTime(hour, 0)
                .atZone(clock.getZone())
                .toInstant();
        return then.isAfter(clock.instant()) ? clock.instant().minusSeconds(60) : then;
    }

    static Value value(Parameter parameter, double amount) {
        return new Value(new UUID(0, 0), parameter.name(), amount, false, false, "");
    }

    static Value below(Parameter parameter, double limit) {
        return new Value(new UUID(0, 0), parameter.name(), limit, true, false, "");
    }

    static Value early(Parameter parameter, double amount) {
        return new Value(new UUID(0, 0), parameter.name(), amount, false, true, "");
    }

    private static List<Value> named(long tank, int daysAgo, List<Value> values) {
        return values.stream()
                .map(one -> new Value(
                        id(one.parameter(), tank, daysAgo),
                        one.parameter(),
                        one.amount(),
                        one.belowDetection(),
                        one.early(),
                        "Drop test"))
                .toList();
    }

    private static UUID id(String what, long tank, int daysAgo) {
        return UUID.nameUUIDFromBytes((what + " " + tank + " " + daysAgo).getBytes(StandardCharsets.UTF_8));
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
