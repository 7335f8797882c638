package app.chervil.server.demo;

import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.trial.Design;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.HusbandryOperations;
import app.chervil.server.water.HusbandryOperations.ChangeInput;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaOperations.MediaDone;
import app.chervil.server.water.MediaOperations.MediaPlan;
import app.chervil.server.water.Moment;
import app.chervil.server.water.ReadingOperations;
import app.chervil.server.water.ReadingSet;
import app.chervil.server.water.ReadingSet.Value;
import app.chervil.sim.tank.LivingWater;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Lets the water of the demo's tanks live and writes what was read of it, the same however often it is loaded. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoWater {
    private static final double NITRITE_LIMIT = 0.05;
    private static final double AMMONIA_LIMIT = 0.1;

    private final ReadingOperations readings;
    private final HusbandryOperations husbandry;
    private final MediaOperations media;
    private final TankOperations tanks;
    private final Clock clock;

    DemoWater(
            ReadingOperations readings,
            HusbandryOperations husbandry,
            MediaOperations media,
            TankOperations tanks,
            Clock clock) {
        this.readings = readings;
        this.husbandry = husbandry;
        this.media = media;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * What a tank's water does.
     *
     * @param nitrateAWeek what feeding makes, in mg/L
     * @param phosphateAWeek likewise
     * @param changeShare of the tank, each week
     */
    record Nature(
            double nitrateAWeek,
            double phosphateAWeek,
            double changeShare,
            double ph,
            double celsius,
            boolean salt,
            Set<LocalDate> blowOffs,
            Map<LocalDate, Double> losses,
            Optional<Catching> catching) {
        Nature(
                double nitrateAWeek,
                double phosphateAWeek,
                double changeShare,
                double ph,
                double celsius,
                boolean salt) {
            this(nitrateAWeek, phosphateAWeek, changeShare, ph, celsius, salt, Set.of(), Map.of(), Optional.empty());
        }

        /** Days on which dirt was blown off the rock and caught. */
        Nature blownOff(List<LocalDate> days) {
            return new Nature(
                    nitrateAWeek, phosphateAWeek, changeShare, ph, celsius, salt, Set.copyOf(days), losses, catching);
        }

        /** A stage holds most of the dirt; while two intervals of it are tried, the water is read twice as often. */
        Nature caughtBy(List<LocalDate> cleaned, double fullAfterDays, Design trial) {
            Catching sock = new Catching(new TreeSet<>(cleaned), fullAfterDays, trial);
            return new Nature(
                    nitrateAWeek, phosphateAWeek, changeShare, ph, celsius, salt, blowOffs, losses, Optional.of(sock));
        }

        /** Shares of the bacteria lost on days. */
        Nature lost(Map<LocalDate, Double> shares) {
            return new Nature(nitrateAWeek, phosphateAWeek, changeShare, ph, celsius, salt, blowOffs, shares, catching);
        }
    }

    /** The stage that holds most of a tank's dirt. */
    private record Catching(TreeSet<LocalDate> cleaned, double fullAfterDays, Design trial) {
        /** How full it is, 0 to 1; half before it was first cleaned. */
        double dirt(LocalDate day) {
            LocalDate last = cleaned.floor(day);
            return last == null ? 0.5 : Math.min(1, ChronoUnit.DAYS.between(last, day) / fullAfterDays);
        }
    }

    /** Lets the water live, reads it each week before its change, and more often after bacteria were lost. */
    void live(SignedIn who, long tank, Nature nature, int fromDaysAgo, int toDaysAgo) {
        Random random = new Random(tank);
        LocalDate today = LocalDate.now(clock);
        double resting = nature.nitrateAWeek() / nature.changeShare() * (1 - nature.changeShare() / 2);
        LivingWater water = new LivingWater(
                nature.nitrateAWeek(),
                nature.phosphateAWeek(),
                resting,
                nature.phosphateAWeek() / nature.changeShare() * (1 - nature.changeShare() / 2));
        for (int ago = fromDaysAgo; ago >= toDaysAgo; ago--) {
            LocalDate day = today.minusDays(ago);
            boolean weekly = (ago - toDaysAgo) % 7 == 0;
            if (weekly) {
                read(who, tank, ago, all(water, nature, random));
                change(who, tank, ago, nature.changeShare());
            } else if ((ago - toDaysAgo) % 7 == 3 && tried(nature, day)) {
                read(who, tank, ago, feeding(water, random));
            } else if (watched(nature, day)) {
                read(who, tank, ago, nitrogen(water));
            }
            water.live(new LivingWater.Day(
                    nature.catching().map(stage -> stage.dirt(day)).orElse(0.5),
                    weekly ? nature.changeShare() : 0,
                    nature.losses().getOrDefault(day, 0.0),
                    nature.blowOffs().contains(day),
                    1));
        }
    }

    private static boolean tried(Nature nature, LocalDate day) {
        return nature.catching()
                .map(stage -> stage.trial().wayOn(day).isPresent())
                .orElse(false);
    }

    /** On days 1, 2, 4, 7, 9 and 11 after bacteria were lost. */
    private static boolean watched(Nature nature, LocalDate day) {
        return nature.losses().keySet().stream()
                .anyMatch(lost -> Set.of(1L, 2L, 4L, 7L, 9L, 11L).contains(ChronoUnit.DAYS.between(lost, day)));
    }

    private static List<Value> all(LivingWater water, Nature nature, Random random) {
        List<Value> set = new ArrayList<>(nitrogen(water));
        set.addAll(feeding(water, random));
        set.add(value(Parameter.PH, tenth(nature.ph() + 0.08 * random.nextGaussian())));
        set.add(value(Parameter.TEMPERATURE, tenth(nature.celsius() + 0.5 * random.nextGaussian())));
        if (nature.salt()) {
            set.add(value(Parameter.SALINITY, tenth(34.5 + 0.3 * random.nextGaussian())));
        }
        return set;
    }

    private static List<Value> feeding(LivingWater water, Random random) {
        double nitrate = Math.round(water.nitrate() * (1 + 0.05 * random.nextGaussian()));
        double phosphate = Math.round(water.phosphate() * (1 + 0.05 * random.nextGaussian()) * 100) / 100.0;
        return List.of(value(Parameter.NITRATE, nitrate), value(Parameter.PHOSPHATE, Math.max(0.02, phosphate)));
    }

    /** As a drop test shows it: in steps, and nothing below its limit. */
    private static List<Value> nitrogen(LivingWater water) {
        return List.of(
                seen(Parameter.AMMONIA, water.ammonia(), AMMONIA_LIMIT),
                seen(Parameter.NITRITE, water.nitrite(), NITRITE_LIMIT));
    }

    private static Value seen(Parameter parameter, double amount, double limit) {
        return amount < limit ? below(parameter, limit) : value(parameter, Math.round(amount * 20) / 20.0);
    }

    /** An exchange of bio media. */
    void replaced(SignedIn who, long tank, Filter filter, double grams, int daysAgo) {
        filter.stages().stream()
                .filter(stage -> stage.kind() == StageKind.BIO_MEDIA)
                .forEach(stage -> media.replace(
                        who,
                        tank,
                        id("media", tank, daysAgo),
                        new MediaDone(
                                new MediaPlan(stage.id(), grams),
                                LocalDate.now(clock).minusDays(daysAgo),
                                null)));
    }

    /** Values read at about six in the evening. */
    void read(SignedIn who, long tank, int daysAgo, List<Value> values) {
        readings.keep(who, tank, new ReadingSet(at(daysAgo, 18), Moment.PLAIN, named(tank, daysAgo, values), true));
    }

    private void change(SignedIn who, long tank, int daysAgo, double share) {
        husbandry.change(
                who,
                tank,
                id("change", tank, daysAgo),
                new ChangeInput(
                        at(daysAgo, 19),
                        Math.rint(share * tanks.find(who, tank).netVolumeL()),
                        0,
                        null,
                        null,
                        null,
                        ""));
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
