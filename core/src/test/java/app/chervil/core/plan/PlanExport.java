package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Times;
import java.util.List;
import java.util.stream.Collectors;

/** An instance and a plan as JSON, as docs/formats.md describes. */
final class PlanExport {
    private PlanExport() {}

    static String instance(Instance instance) {
        String chains = instance.chains().stream().map(PlanExport::chain).collect(Collectors.joining(",\n    "));
        String hours = instance.hours().days().stream()
                .map(day -> "[" + day.keeper() + ", " + day.helpers() + "]")
                .collect(Collectors.joining(", "));
        String openings = instance.setUps().openingMinutes().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .map(one -> "\"" + one.getKey() + "\": " + one.getValue())
                .collect(Collectors.joining(", "));
        String rooms = instance.setUps().rooms().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .map(one -> "\"" + one.getKey() + "\": " + one.getValue())
                .collect(Collectors.joining(", "));
        return """
                {
                  "format": "chervil-plan-instance-1",
                  "publishedDays": %d,
                  "hours": [%s],
                  "setUps": {"roomMinutes": %d, "tankMinutes": %d, "openingMinutes": {%s}, "rooms": {%s}},
                  "chains": [
                    %s
                  ]
                }
                """.formatted(
                        instance.publishedDays(),
                        hours,
                        instance.setUps().roomMinutes(),
                        instance.setUps().tankMinutes(),
                        openings,
                        rooms,
                        chains);
    }

    private static String chain(Chain chain) {
        return ("{\"id\": %d, \"tank\": %d, \"filter\": %d, \"first\": %s, \"gap\": %s, \"again\": %b, \"minutes\": %d, "
                        + "\"reach\": \"%s\", \"hands\": \"%s\", \"spaced\": %b, \"notBefore\": %d, \"with\": %s}")
                .formatted(
                        chain.id(),
                        chain.place().tank(),
                        chain.place().filter(),
                        span(chain.rhythm().first()),
                        span(chain.rhythm().gap()),
                        chain.rhythm().times() == Times.AGAIN,
                        chain.work().minutes(),
                        chain.work().reach(),
                        chain.work().hands(),
                        chain.demand().spaced(),
                        chain.demand().notBefore(),
                        chain.demand().with().map(ChainId::toString).orElse("null"));
    }

    private static List<Integer> span(Span span) {
        return List.of(span.earliest(), span.ideal(), span.latest());
    }

    static String plan(Instance instance, Plan plan) {
        String days = instance.chains().stream()
                .map(chain -> "\"" + chain.id() + "\": " + plan.of(chain.id()))
                .collect(Collectors.joining(",\n    "));
        return """
                {
                  "format": "chervil-plan-1",
                  "hard": %d,
                  "soft": %d,
                  "days": {
                    %s
                  }
                }
                """.formatted(plan.score().hard(), plan.score().soft(), days);
    }
}
