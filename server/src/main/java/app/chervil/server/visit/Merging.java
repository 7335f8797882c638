package app.chervil.server.visit;

import app.chervil.core.interval.Finding;
import app.chervil.server.visit.ServiceInput.Circumstances;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceInput.Part;
import app.chervil.server.visit.ServiceView.DoneView;
import app.chervil.server.visit.ServiceView.FlowView;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** One service of two that logged the same work. */
final class Merging {
    private Merging() {}

    static ServiceInput of(ServiceView kept, ServiceView other) {
        return new ServiceInput(
                kept.tankId(),
                kept.doneOn(),
                kept.doneBy() + " and " + other.doneBy(),
                longer(kept.minutes(), other.minutes()),
                Stream.of(kept.note(), other.note())
                        .filter(note -> !note.isBlank())
                        .collect(Collectors.joining(" ")),
                tasks(kept, other),
                flows(kept, other),
                new Circumstances(
                        longer(
                                kept.circumstances().filterOffMinutes(),
                                other.circumstances().filterOffMinutes()),
                        kept.circumstances().overrideReason() == null
                                ? other.circumstances().overrideReason()
                                : kept.circumstances().overrideReason(),
                        parts(kept, other),
                        kept.circumstances().nothingCleaned()
                                && other.circumstances().nothingCleaned()));
    }

    /** Both wrote down the same parts, so the larger count stands. */
    private static List<Part> parts(ServiceView kept, ServiceView other) {
        Map<String, Part> parts = new LinkedHashMap<>();
        Stream.concat(kept.circumstances().parts().stream(), other.circumstances().parts().stream())
                .forEach(part -> parts.merge(
                        part.thing(), part, (one, another) -> one.quantity() >= another.quantity() ? one : another));
        return List.copyOf(parts.values());
    }

    private static @Nullable Integer longer(@Nullable Integer one, @Nullable Integer another) {
        return one == null || (another != null && another > one) ? another : one;
    }

    private static List<Done> tasks(ServiceView kept, ServiceView other) {
        Map<Long, Done> tasks = new LinkedHashMap<>();
        Stream.concat(kept.tasks().stream(), other.tasks().stream())
                .forEach(done -> tasks.merge(done.taskId(), done(done), Merging::fuller));
        return List.copyOf(tasks.values());
    }

    private static Done done(DoneView view) {
        return new Done(view.taskId(), view.finding());
    }

    private static Done fuller(Done one, Done another) {
        @Nullable Finding first = one.finding();
        @Nullable Finding second = another.finding();
        return first == null || (second != null && second.compareTo(first) > 0) ? another : one;
    }

    private static List<FlowInput> flows(ServiceView kept, ServiceView other) {
        List<FlowInput> flows = new ArrayList<>();
        kept.flows().forEach(flow -> flows.add(flow(flow)));
        other.flows().stream()
                .filter(flow -> kept.flows().stream().noneMatch(had -> had.filterId() == flow.filterId()))
                .forEach(flow -> flows.add(flow(flow)));
        return flows;
    }

    private static FlowInput flow(FlowView view) {
        return new FlowInput(view.filterId(), reading(view.beforeLph()), reading(view.afterLph()));
    }

    private static @Nullable FlowReading reading(@Nullable Double litresPerHour) {
        return litresPerHour == null ? null : new FlowReading(litresPerHour, null, null);
    }
}
