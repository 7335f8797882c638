package app.chervil.server.demo;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;

/** Writes past services of one filter, the same ones for the same filter however often it is loaded. */
final class DemoLog {
    private final ServiceOperations services;
    private final SignedIn who;
    private final long tank;
    private final FilterView filter;
    private final LocalDate today;
    private final Random random;

    DemoLog(ServiceOperations services, SignedIn who, long tank, FilterView filter, LocalDate today) {
        this.services = services;
        this.who = who;
        this.tank = tank;
        this.filter = filter;
        this.today = today;
        this.random = new Random(filter.name().hashCode());
    }

    /** Runs something on days about so far apart, from one day ago to another. */
    void spaced(int fromDaysAgo, int apart, int toDaysAgo, IntConsumer onDaysAgo) {
        int jitter = Math.max(1, apart / 6);
        for (int day = fromDaysAgo - apart; day > toDaysAgo; day -= apart - jitter + random.nextInt(2 * jitter + 1)) {
            onDaysAgo.accept(day);
        }
        onDaysAgo.accept(toDaysAgo);
    }

    Finding pick(Finding... findings) {
        return findings[random.nextInt(findings.length)];
    }

    Entry at(int daysAgo) {
        return new Entry(today.minusDays(daysAgo));
    }

    /** One service being written. */
    final class Entry {
        private final LocalDate on;
        private final List<Done> done = new ArrayList<>();
        private final List<FlowInput> flows = new ArrayList<>();
        private int minutes = 10;
        private String note = "";

        private Entry(LocalDate on) {
            this.on = on;
        }

        Entry found(CareAction action, @Nullable StageKind kind, Finding finding) {
            done.add(new Done(task(action, kind), finding));
            return this;
        }

        Entry done(CareAction action, @Nullable StageKind kind) {
            done.add(new Done(task(action, kind), null));
            return this;
        }

        Entry flow(double beforeLph, double afterLph) {
            flows.add(new FlowInput(
                    filter.id(), new FlowReading(beforeLph, null, null), new FlowReading(afterLph, null, null)));
            return this;
        }

        Entry minutes(int count) {
            minutes = count;
            return this;
        }

        Entry note(String text) {
            note = text;
            return this;
        }

        void save() {
            String by = random.nextInt(3) == 0 ? "Osei" : "Marit";
            UUID id = UUID.nameUUIDFromBytes((filter.name() + on + done).getBytes(StandardCharsets.UTF_8));
            services.record(who, id, new ServiceInput(tank, on, by, minutes, note, done, flows, null));
        }

        private long task(CareAction action, @Nullable StageKind kind) {
            return filter.tasks().stream()
                    .filter(task -> task.action() == action && Objects.equals(kindOf(task), kind))
                    .findFirst()
                    .orElseThrow()
                    .id();
        }

        private @Nullable StageKind kindOf(TaskView task) {
            return filter.stages().stream()
                    .filter(stage -> Objects.equals(stage.id(), task.stageId()))
                    .map(FilterView.StageView::kind)
                    .findFirst()
                    .orElse(null);
        }
    }
}
