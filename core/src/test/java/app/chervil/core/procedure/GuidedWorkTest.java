package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.procedure.GuidedWork.Event;
import app.chervil.core.procedure.GuidedWork.Kind;
import app.chervil.core.procedure.GuidedWork.State;
import app.chervil.core.procedure.Step.About;
import app.chervil.core.procedure.Step.Care;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.procedure.Step.Words;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What ticks add up to. The examples of vectors/guided-work.json are those the browser is held to as well; times in minutes. */
class GuidedWorkTest {
    private static final Instant BEGIN = Instant.parse("2026-06-01T10:00:00Z");
    private static final JsonNode FILE = read();
    private static final List<Step> STEPS =
            FILE.get("steps").valueStream().map(GuidedWorkTest::step).toList();

    static Stream<Arguments> cases() {
        return FILE.get("cases")
                .valueStream()
                .map(one -> Arguments.of(one.get("name").asString(), one));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void adds_up_to_what_its_example_says(String name, JsonNode example) {
        GuidedWork work = replay(
                example.get("events").valueStream().map(JsonNode::asString).toList());
        JsonNode expect = example.get("expect");
        Instant now = at(example.get("now").asLong());

        assertThat(in(work, State.DONE)).isEqualTo(texts(expect.path("done")));
        assertThat(in(work, State.SKIPPED)).isEqualTo(texts(expect.path("skipped")));
        assertThat(work.current().map(Step::id)).isEqualTo(text(expect.path("current")));
        assertThat(work.offSince()).isEqualTo(minute(expect.path("offSince")).map(GuidedWorkTest::at));
        assertThat(work.offMinutes(now))
                .isEqualTo(minute(expect.path("offMinutes"))
                        .map(minutes -> OptionalInt.of(minutes.intValue()))
                        .orElse(OptionalInt.empty()));
        assertThat(work.stray()).isEqualTo(text(expect.path("stray")));
        assertThat(work.gradeOf(7)).isEqualTo(text(expect.at("/grades/7")));
        assertThat(work.flow(Kind.FLOW_BEFORE)).isEqualTo(flow(expect.path("flowBefore")));
        assertThat(work.flow(Kind.FLOW_AFTER)).isEqualTo(flow(expect.path("flowAfter")));
        assertThat(work.finished(70, CareAction.RINSE))
                .isEqualTo(!expect.path("finished").isMissingNode());
        assertThat(work.finished(69, CareAction.OPEN))
                .isEqualTo(expect.path("opened").asBoolean(false));
        Map<String, Instant> timers = new HashMap<>();
        expect.path("timers")
                .propertyStream()
                .forEach(timer -> timers.put(timer.getKey(), at(timer.getValue().asLong())));
        assertThat(work.timers()).isEqualTo(timers);
        expect.path("did").valueStream().forEach(effect -> assertThat(work.did(Effect.valueOf(effect.asString())))
                .isTrue());
    }

    /** A clean of the whole filter that sets out its parts, empties it and wipes it; one step is a stage's own. */
    private static GuidedWork cleaning(Event... events) {
        return GuidedWork.replay(
                List.of(
                        cleaning("empty", OptionalLong.of(70), OptionalLong.empty()),
                        cleaning("wipe", OptionalLong.of(70), OptionalLong.empty()),
                        cleaning("foam", OptionalLong.of(70), OptionalLong.of(7)),
                        cleaning("start", OptionalLong.empty(), OptionalLong.empty())),
                List.of(events));
    }

    private static Step cleaning(String id, OptionalLong task, OptionalLong stage) {
        return new Step(
                id,
                new Words(id, ""),
                new About(task, stage, OptionalInt.empty(), OptionalInt.empty()),
                new Care(List.of(), List.of(), OptionalInt.empty()),
                Optional.empty(),
                Set.of(),
                0);
    }

    private static Event tick(Kind kind, String step) {
        return new Event(kind, step, "", BEGIN);
    }

    @Test
    void a_clean_of_the_whole_filter_is_finished_once_no_step_of_it_is_left_open() {
        assertThat(cleaning().finished(70, CareAction.CLEAN)).isFalse();
        assertThat(cleaning(tick(Kind.DONE, "start")).finished(70, CareAction.CLEAN))
                .isFalse();
        assertThat(cleaning(tick(Kind.DONE, "empty")).finished(70, CareAction.CLEAN))
                .isFalse();
        assertThat(cleaning(tick(Kind.DONE, "empty"), tick(Kind.DONE, "wipe")).finished(70, CareAction.CLEAN))
                .isTrue();
        assertThat(cleaning(tick(Kind.DONE, "empty"), tick(Kind.SKIPPED, "wipe"))
                        .finished(70, CareAction.CLEAN))
                .isTrue();
        assertThat(cleaning(tick(Kind.SKIPPED, "empty"), tick(Kind.SKIPPED, "wipe"))
                        .finished(70, CareAction.CLEAN))
                .isFalse();
    }

    /** Whoever ticks the same things in the same order, however often each is sent, comes to the same. */
    @Test
    void an_event_sent_again_at_once_changes_nothing() {
        Random random = new Random(47);
        for (int life = 0; life < 3000; life++) {
            List<String> once = some(random);
            List<String> twice = once.stream()
                    .flatMap(event -> random.nextInt(3) == 0 ? Stream.of(event, event) : Stream.of(event))
                    .toList();

            assertThat(told(replay(twice))).as("life %d: %s", life, once).isEqualTo(told(replay(once)));
        }
    }

    @Test
    void everything_taken_back_is_as_if_nothing_had_happened() {
        Random random = new Random(48);
        for (int life = 0; life < 3000; life++) {
            List<String> events = new ArrayList<>(some(random));
            STEPS.forEach(step -> events.add("900 UNDONE " + step.id()));
            GuidedWork work = replay(events);

            assertThat(in(work, State.OPEN)).hasSize(STEPS.size());
            assertThat(work.offSince()).as("life %d", life).isEmpty();
            assertThat(work.offMinutes(at(1000))).as("life %d", life).isEmpty();
        }
    }

    @Test
    void a_filter_is_off_exactly_while_a_stop_stands_that_no_start_followed() {
        Random random = new Random(49);
        for (int life = 0; life < 3000; life++) {
            GuidedWork work = replay(some(random));

            boolean stopped = work.stateOf("stop") == State.DONE;
            boolean started = work.stateOf("start") == State.DONE;
            if (stopped && !started) {
                assertThat(work.offSince()).as("life %d", life).isPresent();
            }
            if (!stopped) {
                assertThat(work.offSince()).as("life %d", life).isEmpty();
            }
            work.offMinutes(at(2000)).ifPresent(minutes -> assertThat(minutes).isBetween(0, 2000));
        }
    }

    private static List<String> some(Random random) {
        List<String> events = new ArrayList<>();
        int count = random.nextInt(30);
        for (int minute = 0; minute < count; minute++) {
            String step = STEPS.get(random.nextInt(STEPS.size())).id();
            String kind = List.of("DONE", "DONE", "DONE", "UNDONE", "SKIPPED").get(random.nextInt(5));
            events.add(minute + " " + kind + " " + step);
        }
        return events;
    }

    private static List<Object> told(GuidedWork work) {
        return List.of(
                in(work, State.DONE),
                in(work, State.SKIPPED),
                work.offSince(),
                work.offMinutes(at(500)),
                work.current().map(Step::id));
    }

    private static Set<String> in(GuidedWork work, State state) {
        return STEPS.stream()
                .map(Step::id)
                .filter(id -> work.stateOf(id) == state)
                .collect(Collectors.toSet());
    }

    private static GuidedWork replay(List<String> events) {
        return GuidedWork.replay(
                STEPS, events.stream().map(GuidedWorkTest::event).toList());
    }

    /** Written as minute, kind, step and value. */
    private static Event event(String written) {
        String[] parts = written.split(" ", 4);
        return new Event(
                Kind.valueOf(parts[1]), parts[2], parts.length > 3 ? parts[3] : "", at(Long.parseLong(parts[0])));
    }

    private static Step step(JsonNode node) {
        EnumSet<Effect> effects = EnumSet.noneOf(Effect.class);
        node.path("effects").valueStream().forEach(effect -> effects.add(Effect.valueOf(effect.asString())));
        return new Step(
                node.get("id").asString(),
                new Words("", ""),
                new About(number(node.path("task")), number(node.path("stage"))),
                new Care(
                        List.of(),
                        List.of(),
                        node.has("timerMinutes")
                                ? OptionalInt.of(node.get("timerMinutes").asInt())
                                : OptionalInt.empty()),
                Optional.empty(),
                effects,
                0);
    }

    private static OptionalLong number(JsonNode node) {
        return node.isMissingNode() ? OptionalLong.empty() : OptionalLong.of(node.asLong());
    }

    private static Optional<Long> minute(JsonNode node) {
        return node.isMissingNode() ? Optional.empty() : Optional.of(node.asLong());
    }

    private static Optional<String> text(JsonNode node) {
        return node.isMissingNode() ? Optional.empty() : Optional.of(node.asString());
    }

    private static OptionalDouble flow(JsonNode node) {
        return node.isMissingNode() ? OptionalDouble.empty() : OptionalDouble.of(node.asDouble());
    }

    private static Set<String> texts(JsonNode node) {
        return node.valueStream().map(JsonNode::asString).collect(Collectors.toSet());
    }

    private static Instant at(long minute) {
        return BEGIN.plus(Duration.ofMinutes(minute));
    }

    private static JsonNode read() {
        try (InputStream file = GuidedWorkTest.class.getResourceAsStream("/vectors/guided-work.json")) {
            return JsonMapper.builder().build().readTree(file);
        } catch (IOException missing) {
            throw new IllegalStateException(missing);
        }
    }
}
