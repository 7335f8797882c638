package app.chervil.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.device.Alarms.Around;
import app.chervil.core.device.Alarms.Power;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class VigilTest {
    private static final Instant T = Instant.parse("2026-06-01T08:00:00Z");

    private static Instant at(long minutes) {
        return T.plus(Duration.ofMinutes(minutes));
    }

    /** A device that read one value every minute for some minutes, from a minute on. */
    private static Vigil reading(DeviceKind kind, Vigil before, int from, int minutes, double value) {
        Vigil vigil = before;
        for (int minute = from; minute < from + minutes; minute++) {
            vigil = vigil.told(kind, new Signal(at(minute), value));
        }
        return vigil;
    }

    private static Set<Alarm> alarms(DeviceKind kind, Vigil vigil, long minute) {
        return Alarms.of(kind, vigil, heard(minute, Optional.empty()), at(minute));
    }

    private static Set<Alarm> atWork(DeviceKind kind, Vigil vigil, long minute, long touched) {
        return Alarms.of(kind, vigil, heard(minute, Optional.of(at(touched))), at(minute));
    }

    private static Around heard(long minute, Optional<Instant> touched) {
        return new Around(Duration.ofHours(1), at(minute), touched);
    }

    @Nested
    class A_plug {
        private final Vigil running = reading(DeviceKind.PLUG, Vigil.NEW, 0, 60, 20);
        private final Vigil off = reading(DeviceKind.PLUG, running, 60, 1, 0);

        @Test
        void tells_at_once_that_its_filter_is_off_and_after_half_an_hour_that_it_stays_off() {
            assertThat(alarms(DeviceKind.PLUG, running, 59)).isEmpty();
            assertThat(alarms(DeviceKind.PLUG, off, 60)).containsExactly(Alarm.FILTER_OFF);
            assertThat(alarms(DeviceKind.PLUG, off, 89)).containsExactly(Alarm.FILTER_OFF);
            assertThat(alarms(DeviceKind.PLUG, off, 90)).containsExactly(Alarm.FILTER_OFF_LONG);
        }

        @Test
        void says_nothing_during_a_service_until_it_takes_too_long() {
            assertThat(atWork(DeviceKind.PLUG, off, 80, 70)).isEmpty();
            assertThat(atWork(DeviceKind.PLUG, off, 90, 89)).containsExactly(Alarm.FILTER_OFF_LONG);
        }

        @Test
        void knows_a_pump_that_came_back_and_moves_air() {
            Vigil dry = reading(DeviceKind.PLUG, off, 70, 3, 11);

            assertThat(alarms(DeviceKind.PLUG, dry, 70)).isEmpty();
            assertThat(alarms(DeviceKind.PLUG, dry, 72)).containsExactly(Alarm.NO_WATER);
            assertThat(alarms(DeviceKind.PLUG, reading(DeviceKind.PLUG, dry, 73, 1, 19), 73))
                    .isEmpty();
        }

        @Test
        void does_not_take_a_dry_pump_for_usual() {
            Vigil dry = reading(DeviceKind.PLUG, off, 70, 9, 11);

            assertThat(dry.usual().orElseThrow()).isEqualTo(20);
        }

        @Test
        void that_stops_itself_for_a_moment_comes_back_without_a_word() {
            Vigil purged = reading(DeviceKind.PLUG, off, 61, 5, 20);

            assertThat(alarms(DeviceKind.PLUG, purged, 66)).isEmpty();
        }

        @Test
        void of_a_small_pump_is_off_below_one_watt() {
            Vigil small = reading(DeviceKind.PLUG, Vigil.NEW, 0, 5, 2.5);

            assertThat(alarms(DeviceKind.PLUG, small, 5)).isEmpty();
            assertThat(alarms(DeviceKind.PLUG, reading(DeviceKind.PLUG, small, 5, 1, 0.4), 5))
                    .containsExactly(Alarm.FILTER_OFF);
        }
    }

    @Nested
    class A_leak_sensor {
        private final Vigil wet = reading(DeviceKind.LEAK, Vigil.NEW, 0, 1, 1);

        @Test
        void is_heard_at_once_and_until_it_is_dry() {
            assertThat(alarms(DeviceKind.LEAK, wet, 0)).containsExactly(Alarm.LEAK);
            assertThat(alarms(DeviceKind.LEAK, reading(DeviceKind.LEAK, wet, 1, 1, 0), 1))
                    .isEmpty();
        }

        @Test
        void is_silent_while_somebody_works_but_never_for_ever() {
            assertThat(atWork(DeviceKind.LEAK, wet, 30, 10)).isEmpty();
            assertThat(atWork(DeviceKind.LEAK, wet, 129, 10)).isEmpty();
            assertThat(atWork(DeviceKind.LEAK, wet, 130, 10)).containsExactly(Alarm.LEAK);
        }
    }

    @Nested
    class A_flow_meter {
        private final Vigil clean = reading(DeviceKind.FLOW, Vigil.NEW, 0, 60, 900);

        @Test
        void asks_about_a_sudden_fall_that_lasts() {
            Vigil fallen = reading(DeviceKind.FLOW, clean, 60, 10, 500);

            assertThat(alarms(DeviceKind.FLOW, fallen, 64)).isEmpty();
            assertThat(alarms(DeviceKind.FLOW, fallen, 65)).containsExactly(Alarm.FLOW_FELL);
        }

        @Test
        void follows_a_slow_fall_without_a_word() {
            Vigil vigil = clean;
            for (int hour = 1; hour <= 24 * 20; hour++) {
                vigil = reading(DeviceKind.FLOW, vigil, 60 + hour * 60, 1, 900 - hour);
                assertThat(alarms(DeviceKind.FLOW, vigil, 60 + hour * 60L)).isEmpty();
            }
        }

        @Test
        void knows_water_that_stands() {
            Vigil stopped = reading(DeviceKind.FLOW, clean, 60, 1, 0);

            assertThat(alarms(DeviceKind.FLOW, stopped, 60)).containsExactly(Alarm.FILTER_OFF);
            assertThat(alarms(DeviceKind.FLOW, stopped, 95)).containsExactly(Alarm.FILTER_OFF_LONG);
        }

        @Test
        void leaves_it_to_the_plug_that_the_filter_is_off_and_tells_of_a_pump_that_moves_nothing() {
            Vigil stopped = reading(DeviceKind.FLOW, clean, 60, 3, 0);
            Vigil on = reading(DeviceKind.PLUG, Vigil.NEW, 0, 60, 20);
            Vigil off = reading(DeviceKind.PLUG, on, 60, 1, 0);

            assertThat(powered(stopped, 95, off)).isEmpty();
            assertThat(powered(stopped, 62, on)).containsExactly(Alarm.NO_WATER);
        }

        @Test
        void gives_a_pump_that_comes_back_a_minute_before_it_says_that_nothing_moves() {
            Vigil stopped = reading(DeviceKind.FLOW, clean, 60, 10, 0);
            Vigil off = reading(DeviceKind.PLUG, reading(DeviceKind.PLUG, Vigil.NEW, 0, 60, 20), 60, 1, 0);
            Vigil back = reading(DeviceKind.PLUG, off, 69, 1, 20);

            assertThat(powered(stopped, 69, back)).isEmpty();
            assertThat(powered(stopped, 75, back)).isEmpty();
            assertThat(powered(reading(DeviceKind.FLOW, stopped, 70, 1, 0), 70, back))
                    .containsExactly(Alarm.NO_WATER);
        }

        private Set<Alarm> powered(Vigil vigil, long minute, Vigil plug) {
            Around around = new Around(Duration.ofHours(1), at(minute), Optional.empty(), Power.of(plug));
            return Alarms.of(DeviceKind.FLOW, vigil, around, at(minute));
        }

        @Test
        void learns_anew_after_a_service() {
            Vigil fallen = reading(DeviceKind.FLOW, clean, 60, 10, 500).begunAnew();

            assertThat(alarms(DeviceKind.FLOW, reading(DeviceKind.FLOW, fallen, 70, 20, 500), 90))
                    .isEmpty();
        }
    }

    @Nested
    class A_probe {
        private final Vigil warm = reading(DeviceKind.TEMPERATURE, Vigil.NEW, 0, 60, 25);

        @Test
        void finds_the_heater_that_was_left_off() {
            Vigil cold = reading(DeviceKind.TEMPERATURE, warm, 60, 12, 22.5);

            assertThat(alarms(DeviceKind.TEMPERATURE, cold, 69)).isEmpty();
            assertThat(alarms(DeviceKind.TEMPERATURE, cold, 71)).containsExactly(Alarm.TOO_COLD);
        }

        @Test
        void finds_the_heater_that_sticks() {
            assertThat(alarms(DeviceKind.TEMPERATURE, reading(DeviceKind.TEMPERATURE, warm, 60, 12, 28), 71))
                    .containsExactly(Alarm.TOO_WARM);
        }

        @Test
        void bears_a_water_change_that_cools_for_a_moment() {
            Vigil changed = reading(DeviceKind.TEMPERATURE, warm, 60, 5, 22.5);

            assertThat(alarms(DeviceKind.TEMPERATURE, reading(DeviceKind.TEMPERATURE, changed, 65, 1, 24.2), 80))
                    .isEmpty();
        }
    }

    @Test
    void A_level_switch_bears_waves() {
        Vigil low = reading(DeviceKind.LEVEL, Vigil.NEW, 0, 1, 1);

        assertThat(alarms(DeviceKind.LEVEL, low, 1)).isEmpty();
        assertThat(alarms(DeviceKind.LEVEL, low, 2)).containsExactly(Alarm.LOW);
    }

    @ParameterizedTest
    @EnumSource(DeviceKind.class)
    void That_says_nothing_is_noticed_and_only_that(DeviceKind kind) {
        Around quiet = new Around(kind.quietAfter(), T, Optional.empty());

        assertThat(Alarms.of(kind, Vigil.NEW, quiet, T.plus(kind.quietAfter()).minusMillis(1)))
                .isEmpty();
        assertThat(Alarms.of(kind, Vigil.NEW, quiet, T.plus(kind.quietAfter()))).containsExactly(Alarm.SILENT);
    }

    @ParameterizedTest
    @EnumSource(DeviceKind.class)
    void A_reading_told_twice_or_late_changes_nothing(DeviceKind kind) {
        Random random = new Random(7);
        for (int round = 0; round < 50; round++) {
            List<Signal> told = new ArrayList<>();
            Vigil once = Vigil.NEW;
            for (int minute = 0; minute < 40; minute++) {
                double width = kind.most() - kind.least();
                Signal signal = new Signal(at(minute), kind.least() + width * random.nextDouble());
                once = once.told(kind, signal);
                told.add(signal);
            }
            Collections.shuffle(told, random);
            Vigil again = once;
            for (Signal late : told) {
                again = again.told(kind, late);
            }
            assertThat(again).isEqualTo(once);
        }
    }
}
