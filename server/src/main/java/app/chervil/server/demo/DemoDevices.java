package app.chervil.server.demo;

import app.chervil.core.device.DeviceKind;
import app.chervil.server.demo.DemoVoice.Speaker;
import app.chervil.server.device.SignalOperations.Told;
import app.chervil.sim.device.StandInTank;
import app.chervil.sim.device.StandInTank.Mishap;
import app.chervil.sim.device.StandInTank.Sense;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ScheduledFuture;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;

/**
 * Devices of the demo that are not there: they speak to the broker like real ones, know nothing of the server they run in,
 * and can be put out of order by hand. Without a broker there are none.
 */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoDevices implements DisposableBean {
    private static final Duration SPEAKS_EVERY = Duration.ofSeconds(2);
    /** A server that has just started is not listening at once. */
    private static final Duration HEARD_AFTER = Duration.ofSeconds(5);

    private static final Duration BACKLOG = Duration.ofHours(46);
    private static final Duration BACKLOG_STEP = Duration.ofMinutes(10);
    private static final int BATCH = 200;

    private static final Map<DeviceKind, Sense> SENSES = Map.of(
            DeviceKind.FLOW, Sense.FLOW,
            DeviceKind.PLUG, Sense.WATTS,
            DeviceKind.LEAK, Sense.WET,
            DeviceKind.TEMPERATURE, Sense.TEMPERATURE);

    private final DemoFitting fitting;
    private final DemoVoice voice;
    private final Clock clock;
    private final ThreadPoolTaskScheduler time = new ThreadPoolTaskScheduler();
    private final Map<DeviceKind, Speaker> speakers = new HashMap<>();
    private @Nullable StandInTank tank;
    private @Nullable ScheduledFuture<?> speaking;
    private @Nullable ScheduledFuture<?> backlog;

    DemoDevices(DemoFitting fitting, DemoVoice voice, Clock clock) {
        this.fitting = fitting;
        this.voice = voice;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    synchronized void begin() {
        if (!voice.isHeard()) {
            return;
        }
        DemoFitting.Fitted fitted = fitting.fit();
        this.tank = fitted.tank();
        speakers.putAll(fitted.speakers());
        voice.connect(Optional.ofNullable(speakers.get(DeviceKind.PLUG)), on -> set(Mishap.UNPLUGGED, !on));
        time.initialize();
        if (fitted.fresh()) {
            backlog = time.schedule(this::tellBacklog, clock.instant().plus(HEARD_AFTER));
        }
        speaking = time.scheduleWithFixedDelay(this::speak, SPEAKS_EVERY);
    }

    private StandInTank standing() {
        return Optional.ofNullable(tank).orElseThrow();
    }

    private synchronized void tellBacklog() {
        Instant now = clock.instant();
        List<Told> told = new ArrayList<>();
        for (Instant at = now.minus(BACKLOG); at.isBefore(now); at = at.plus(BACKLOG_STEP)) {
            told.add(new Told(at, standing().read(Sense.FLOW, at).orElse(0.0)));
        }
        for (int from = 0; from < told.size(); from += BATCH) {
            tell(DeviceKind.FLOW, told.subList(from, Math.min(told.size(), from + BATCH)));
        }
    }

    private synchronized void speak() {
        Instant now = clock.instant();
        SENSES.forEach((kind, sense) ->
                standing().read(sense, now).ifPresent(value -> tell(kind, List.of(new Told(now, value)))));
    }

    private void tell(DeviceKind kind, List<Told> told) {
        Optional.ofNullable(speakers.get(kind)).ifPresent(speaker -> voice.tell(speaker, told));
    }

    /** Whether there are any here. */
    synchronized boolean present() {
        return tank != null;
    }

    /** What is out of order. */
    synchronized List<Mishap> amiss() {
        return Optional.ofNullable(tank).stream()
                .flatMap(one -> List.of(Mishap.values()).stream().filter(one::is))
                .toList();
    }

    synchronized void set(Mishap mishap, boolean on) {
        standing().set(mishap, on, clock.instant());
        speak();
    }

    /** How many days of dirt a day brings. */
    synchronized int speed() {
        return Optional.ofNullable(tank).map(StandInTank::speed).orElse(1);
    }

    synchronized void hurry(int times) {
        standing().hurry(times, clock.instant());
    }

    synchronized void fill(double days) {
        standing().fill(days);
        speak();
    }

    @Override
    public void destroy() {
        Stream.of(Optional.ofNullable(speaking), Optional.ofNullable(backlog))
                .flatMap(Optional::stream)
                .forEach(one -> one.cancel(false));
        time.shutdown();
    }
}
