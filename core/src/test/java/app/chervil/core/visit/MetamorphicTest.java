package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.FOAM;
import static app.chervil.core.visit.Logs.FOAM_NEW;
import static app.chervil.core.visit.Logs.OPENING;
import static app.chervil.core.visit.Logs.PREFILTER;
import static app.chervil.core.visit.Logs.SCHOOLS;
import static app.chervil.core.visit.Logs.flow;
import static app.chervil.core.visit.Logs.prefilter;
import static app.chervil.core.visit.Logs.stage;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Pauses.Pause;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import app.chervil.core.visit.FilterBook.Around;
import app.chervil.core.visit.FilterBook.Device;
import app.chervil.core.visit.LoggedService.Manner;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What must not matter to a date, over seeded lives of a canister: services, flows, drips, replacements, pauses, changes. {@code -Dchervil.thorough=true} draws more lives. */
class MetamorphicTest {
    private static final int LIVES = Boolean.getBoolean("chervil.thorough") ? 800 : 250;
    private static final int LONGEST_GAP = 90;

    @Test
    void the_order_in_which_it_was_logged() {
        lives(life -> {
            List<LoggedService> shuffled = new ArrayList<>(life.services);
            Collections.shuffle(shuffled, new Random(life.seed));
            List<ContextChange> changes = new ArrayList<>(life.changes);
            Collections.reverse(changes);

            assertThat(life.with(shuffled).and(changes).forecasts())
                    .as(life.name())
                    .isEqualTo(life.forecasts());
        });
    }

    @Test
    void the_name_of_the_filter() {
        lives(life -> assertThat(windows(life.named("小川 & \"Weir\"").forecasts()))
                .as(life.name())
                .isEqualTo(windows(life.forecasts())));
    }

    @Test
    void what_was_added_and_deleted_again() {
        lives(life -> {
            List<LoggedService> edited = new ArrayList<>(life.services);
            edited.add(life.random(life.today.minusDays(3)));
            Map<Long, Forecast> meanwhile = life.with(edited).forecasts();
            edited.remove(edited.size() - 1);

            assertThat(meanwhile).isNotEmpty();
            assertThat(life.with(edited).forecasts()).as(life.name()).isEqualTo(life.forecasts());
        });
    }

    @Test
    void the_same_entry_sent_once_more() {
        lives(life -> {
            List<LoggedService> twice = new ArrayList<>(life.services);
            twice.addAll(life.services);

            assertThat(windows(life.with(twice).forecasts())).as(life.name()).isEqualTo(windows(life.forecasts()));
        });
    }

    @Test
    void a_slip_into_the_future() {
        lives(life -> {
            List<LoggedService> slipped = new ArrayList<>(life.services);
            slipped.add(life.random(life.today.plusDays(40)));

            assertThat(life.with(slipped).forecasts()).as(life.name()).isEqualTo(life.forecasts());
        });
    }

    @Test
    void the_day_on_which_life_began() {
        lives(life -> {
            int later = 1 + new Random(life.seed).nextInt(4000);

            assertThat(windows(life.later(later).forecasts()))
                    .as(life.name())
                    .isEqualTo(windows(life.forecasts()).entrySet().stream()
                            .collect(Collectors.toMap(Map.Entry::getKey, entry -> moved(entry.getValue(), later))));
        });
    }

    @Test
    void more_dirt_at_the_last_look_never_lengthens() {
        lives(life -> {
            LoggedService last = new LoggedService(
                    life.today, Map.of(PREFILTER, Optional.of(Finding.CLEAN)), Optional.empty(), Optional.empty());
            LocalDate before = LocalDate.MAX;
            for (Finding finding : Finding.values()) {
                List<LoggedService> looked = new ArrayList<>(life.services);
                looked.add(new LoggedService(
                        last.on(), Map.of(PREFILTER, Optional.of(finding)), Optional.empty(), Optional.empty()));
                LocalDate ideal =
                        Logs.window(life.with(looked).forecasts(), PREFILTER).ideal();

                assertThat(ideal).as("%s, %s", life.name(), finding).isBeforeOrEqualTo(before);
                before = ideal;
            }
        });
    }

    private static void lives(Consumer<Life> check) {
        for (int seed = 0; seed < LIVES; seed++) {
            check.accept(new Life(seed));
        }
    }

    private static Map<Long, Window> windows(Map<Long, Forecast> forecasts) {
        return forecasts.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, entry -> entry.getValue()
                .window()));
    }

    private static Window moved(Window window, int days) {
        return new Window(
                window.earliest().plusDays(days),
                window.ideal().plusDays(days),
                window.latest().plusDays(days));
    }

    /** One canister from its start to today. */
    private static final class Life {
        private final int seed;
        private final Random chance;
        private final Start start;
        private List<LoggedService> services = new ArrayList<>();
        private List<ContextChange> changes = new ArrayList<>();
        private Pauses pauses = Pauses.NONE;
        private String name = "Weir";
        private LocalDate today;
        private int shift;

        Life(int seed) {
            this.seed = seed;
            this.chance = new Random(seed);
            this.start = switch (seed % 4) {
                case 0 -> Start.unknown(DAY);
                case 1 -> Start.about(DAY, 0.3);
                default -> Start.exact(DAY);
            };
            LocalDate day = DAY;
            int count = chance.nextInt(9);
            for (int i = 0; i < count; i++) {
                day = day.plusDays(1 + chance.nextInt(LONGEST_GAP));
                services.add(random(day));
            }
            today = day.plusDays(7 + chance.nextInt(60));
            if (chance.nextInt(3) == 0) {
                changes.add(ContextChange.moved(some(), Kind.STOCKING, Stocking.LIGHT, Stocking.NORMAL));
                changes.add(ContextChange.moved(some().plusDays(1), Kind.FEEDING, Feeding.HEAVY, Feeding.NORMAL));
            }
            if (chance.nextInt(3) == 0) {
                LocalDate from = some();
                pauses = new Pauses(List.of(new Pause(from, Optional.of(from.plusDays(1 + chance.nextInt(30))), 0)));
            }
        }

        private Life(Life other) {
            seed = other.seed;
            chance = new Random(other.seed);
            start = other.start;
            services = other.services;
            changes = other.changes;
            pauses = other.pauses;
            name = other.name;
            today = other.today;
            shift = other.shift;
        }

        String name() {
            return "life " + seed;
        }

        Life with(List<LoggedService> others) {
            Life life = new Life(this);
            life.services = List.copyOf(others);
            return life;
        }

        Life and(List<ContextChange> others) {
            Life life = new Life(this);
            life.changes = List.copyOf(others);
            return life;
        }

        Life named(String other) {
            Life life = new Life(this);
            life.name = other;
            return life;
        }

        Life later(int days) {
            Life life = new Life(this);
            life.shift = days;
            return life;
        }

        LoggedService random(LocalDate on) {
            Map<Long, Optional<Finding>> done = new HashMap<>();
            switch (chance.nextInt(4)) {
                case 0 -> done.put(PREFILTER, finding());
                case 1 -> done.put(FOAM_NEW, Optional.empty());
                default -> {
                    done.put(OPENING, Optional.empty());
                    done.put(FOAM, finding());
                }
            }
            boolean measured = chance.nextInt(3) == 0;
            boolean again = chance.nextInt(8) == 0;
            return new LoggedService(
                    on,
                    done,
                    flow(measured ? 400 + chance.nextInt(500) : 0),
                    flow(measured ? 700 + chance.nextInt(200) : 0),
                    new Manner(again, false, false, CalibratedEye.UNTESTED));
        }

        Map<Long, Forecast> forecasts() {
            Start begun = new Start(start.on().plusDays(shift), start.sureness(), start.share());
            List<BookedTask> tasks = List.of(
                    new BookedTask(
                            OPENING,
                            Optional.empty(),
                            begun,
                            CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, SCHOOLS)
                                    .orElseThrow(),
                            new Learned()),
                    stage(FOAM, FOAM, StageKind.COARSE_FOAM, CareAction.RINSE, begun, Optional.empty()),
                    stage(FOAM_NEW, FOAM, StageKind.COARSE_FOAM, CareAction.REPLACE, begun, Optional.empty()),
                    prefilter(begun, Optional.empty()));
            Around around = new Around(
                    new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 1, 0),
                    changes.stream()
                            .map(change ->
                                    new ContextChange(change.on().plusDays(shift), change.kind(), change.steps()))
                            .toList(),
                    new Pauses(pauses.all().stream()
                            .map(pause -> new Pause(
                                    pause.startInclusive().plusDays(shift),
                                    pause.endExclusive().map(end -> end.plusDays(shift)),
                                    pause.share()))
                            .toList()));
            List<LoggedService> moved = services.stream()
                    .map(one -> new LoggedService(
                            one.on().plusDays(shift), one.done(), one.flowBefore(), one.flowAfter(), one.manner()))
                    .toList();
            return new FilterBook(new Device(name, FilterKind.CANISTER), tasks, moved, around)
                    .forecasts(today.plusDays(shift));
        }

        private Optional<Finding> finding() {
            int grade = chance.nextInt(6);
            return grade == 5 ? Optional.empty() : Optional.of(Finding.ofGrade(grade));
        }

        private LocalDate some() {
            return DAY.plusDays(chance.nextInt(200));
        }
    }
}
