package app.chervil.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.CareRule.Bounds;
import app.chervil.core.filter.CareRule.Effort;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.CourseProbe;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import app.chervil.core.visit.BookedTask.StagePart;
import app.chervil.core.visit.FilterBook.Around;
import app.chervil.core.visit.FilterBook.Device;
import app.chervil.core.visit.LoggedService.Manner;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Logs of a filter and what must be learned from them. Expected numbers: vectors/learning.json, from the prototype with
 * which the rules were measured (docs/sources.md#learning); m and v to 1e-5, windows to 0.02 d, risk to 1e-3.
 */
class LearningVectorsTest {
    private static final LocalDate ZERO = LocalDate.of(2000, 1, 1);

    static Stream<Arguments> logs() throws IOException {
        return cases("book");
    }

    static Stream<Arguments> pictures() throws IOException {
        return cases("pictures");
    }

    private static Stream<Arguments> cases(String kind) throws IOException {
        try (InputStream file = LearningVectorsTest.class.getResourceAsStream("/vectors/learning.json")) {
            return JsonMapper.builder()
                    .build()
                    .readTree(file)
                    .valueStream()
                    .filter(one -> one.get("kind").asString().equals(kind))
                    .map(one -> Arguments.of(one.get("name").asString(), one));
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("logs")
    void a_log_teaches_what_its_vector_says(String name, JsonNode vector) {
        Log log = log(vector.get("input"));

        vector.at("/expect/tasks").properties().forEach(task -> {
            JsonNode expected = task.getValue();
            CourseProbe got = CourseProbe.of(log.book()
                    .course(log.ids().get(task.getKey()), log.today())
                    .orElseThrow()
                    .get());
            assertThat(got.mean()).as("m").isCloseTo(expected.get("m").asDouble(), within(1e-5));
            assertThat(got.variance()).as("v").isCloseTo(expected.get("v").asDouble(), within(1e-5));
            assertThat(got.since())
                    .as("since")
                    .isEqualTo(day(expected.get("since").asInt()));
            assertThat(got.earliest())
                    .as("earliest")
                    .isCloseTo(expected.get("earliest").asDouble(), within(0.02));
            assertThat(got.ideal()).as("ideal").isCloseTo(expected.get("ideal").asDouble(), within(0.02));
            assertThat(got.latest())
                    .as("latest")
                    .isCloseTo(expected.get("latest").asDouble(), within(0.02));
            assertThat(got.held()).as("held").isEqualTo(expected.get("held").asString());
            assertThat(got.risk()).as("risk").isCloseTo(expected.get("risk").asDouble(), within(1e-3));
        });
        assertThat(log.book().notes(log.today()).stream()
                        .map(Note::name)
                        .sorted()
                        .toList())
                .as("notes")
                .isEqualTo(vector.at("/expect/notes")
                        .valueStream()
                        .map(JsonNode::asString)
                        .toList());
    }

    /** A filter's log with the ids of its tasks by their names in the vectors. */
    private record Log(FilterBook book, Map<String, Long> ids, LocalDate today) {}

    @ParameterizedTest(name = "{0}")
    @MethodSource("pictures")
    void graded_pictures_tell_how_an_eye_leans(String name, JsonNode vector) {
        List<CalibratedEye.Graded> graded = new ArrayList<>();
        for (int i = 0; i < vector.get("loadings").size(); i++) {
            graded.add(new CalibratedEye.Graded(
                    vector.get("loadings").get(i).asDouble(),
                    Finding.ofGrade(vector.get("grades").get(i).asInt())));
        }

        CalibratedEye eye = CalibratedEye.of(graded);

        assertThat(eye.bias()).isCloseTo(vector.at("/expect/bias").asDouble(), within(1e-5));
        assertThat(eye.variance()).isCloseTo(vector.at("/expect/variance").asDouble(), within(1e-5));
    }

    private static LocalDate day(int number) {
        return ZERO.plusDays(number);
    }

    private static Log log(JsonNode input) {
        Map<String, Long> ids = new HashMap<>();
        List<BookedTask> tasks = new ArrayList<>();
        Start start = start(input.get("start"));
        for (JsonNode task : input.get("tasks")) {
            BookedTask booked = task(tasks.size() + 1L, task, start);
            ids.put(task.get("id").asString(), booked.id());
            tasks.add(booked);
            tasks.add(replacing(booked));
        }
        CalibratedEye eye = input.has("bias")
                ? new CalibratedEye(
                        input.at("/bias/0").asDouble(), input.at("/bias/1").asDouble())
                : CalibratedEye.UNTESTED;
        List<LoggedService> services = new ArrayList<>();
        List<ContextChange> changes = new ArrayList<>();
        List<Pauses.Pause> pauses = new ArrayList<>();
        for (JsonNode event : input.get("events")) {
            switch (event.get("t").asString()) {
                case "service" -> service(event, ids, eye).ifPresent(services::add);
                case "replace" -> services.add(replacement(event, ids));
                // ln 1.4, sd 0.2: one step of stocking
                case "change" ->
                    changes.add(new ContextChange(day(event.get("day").asInt()), Kind.STOCKING, 1));
                default -> pauses.add(pause(event));
            }
        }
        Stocking today = changes.isEmpty() ? Stocking.NORMAL : Stocking.HEAVY;
        FilterBook book = new FilterBook(
                new Device("Filter", FilterKind.CANISTER, flow(input.path("plate"))),
                tasks,
                services,
                new Around(new Surroundings(today, Feeding.NORMAL, 0, 0), changes, new Pauses(pauses)));
        return new Log(book, ids, day(input.get("today").asInt()));
    }

    private static Start start(JsonNode start) {
        LocalDate on = day(start.get("on").asInt());
        return switch (start.get("kind").asString()) {
            case "exact" -> Start.exact(on);
            case "about" -> Start.about(on, start.get("share").asDouble());
            default -> Start.unknown(on);
        };
    }

    private static BookedTask task(long id, JsonNode task, Start start) {
        CareRule rule = rule(task.get("rule").asString());
        boolean opening = task.get("role").asString().equals("opening");
        StageKind kind =
                switch (task.get("rule").asString()) {
                    case "prefilter" -> StageKind.PREFILTER_SPONGE;
                    case "pad" -> StageKind.FINE_PAD;
                    case "foam" -> StageKind.COARSE_FOAM;
                    default -> StageKind.SOCK;
                };
        Optional<StagePart> stage = opening ? Optional.empty() : Optional.of(part(id, kind));
        return new BookedTask(id, stage, start, rule, new TaskSetting.Learned());
    }

    private static BookedTask replacing(BookedTask task) {
        CareRule rule = new CareRule(
                CareAction.REPLACE,
                540,
                new Bounds(365, 1825),
                new Effort(5, 0, 0, List.of()),
                new app.chervil.core.filter.Learning.ByAge(0.75, 1.2, 1825),
                "worn");
        return new BookedTask(100 + task.id(), task.stage(), task.countFrom(), rule, new TaskSetting.Learned());
    }

    private static StagePart part(long id, StageKind kind) {
        return new StagePart(id, kind, Optional.empty(), Endurance.UNKNOWN, List.of());
    }

    /** Start, floor, most, ceiling, B and φ₁ of the page that the vectors come from. */
    private static CareRule rule(String name) {
        return switch (name) {
            case "sock" -> rule(CareAction.CHANGE, 14, new Bounds(4, 28), graded(1, OptionalDouble.empty(), 28));
            case "prefilter" -> rule(CareAction.RINSE, 14, new Bounds(5, 30), graded(1.5, OptionalDouble.of(0.45), 35));
            case "pad" -> rule(CareAction.CHANGE, 21, new Bounds(7, 60), graded(1.5, OptionalDouble.of(0.60), 105));
            case "foam" -> rule(CareAction.RINSE, 60, new Bounds(14, 270), graded(2, OptionalDouble.of(0.60), 300));
            default -> rule(CareAction.OPEN, 90, new Bounds(30, 300), graded(3, OptionalDouble.of(0.65), 365));
        };
    }

    private static CareRule rule(CareAction action, int start, Bounds bounds, Graded graded) {
        return new CareRule(action, start, bounds, new Effort(5, 0, 1, List.of()), graded, "dirt");
    }

    private static Graded graded(double cost, OptionalDouble flow, int ceiling) {
        return new Graded(cost, flow, ceiling);
    }

    private static Optional<LoggedService> service(JsonNode event, Map<String, Long> ids, CalibratedEye eye) {
        if (event.path("deleted").asBoolean(false)) {
            return Optional.empty();
        }
        Map<Long, Optional<Finding>> done = new HashMap<>();
        event.get("done")
                .properties()
                .forEach(one -> done.put(
                        ids.get(one.getKey()),
                        one.getValue().isNull()
                                ? Optional.empty()
                                : Optional.of(Finding.ofGrade(one.getValue().asInt()))));
        return Optional.of(new LoggedService(
                day(event.get("day").asInt()),
                done,
                flow(event.path("before")),
                flow(event.path("after")),
                new Manner(event.path("again").asBoolean(false), false, false, eye)));
    }

    private static LoggedService replacement(JsonNode event, Map<String, Long> ids) {
        long id = 100 + ids.get(event.get("task").asString());
        return new LoggedService(
                day(event.get("day").asInt()), Map.of(id, Optional.empty()), Optional.empty(), Optional.empty());
    }

    private static Optional<FlowRate> flow(JsonNode flow) {
        return flow.isNumber() ? Optional.of(FlowRate.of(flow.asDouble())) : Optional.empty();
    }

    private static Pauses.Pause pause(JsonNode event) {
        return new Pauses.Pause(
                day(event.get("from").asInt()),
                event.has("to") ? Optional.of(day(event.get("to").asInt())) : Optional.empty(),
                event.get("share").asDouble());
    }
}
