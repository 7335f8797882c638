package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.ServiceInput.Circumstances;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceInput.Part;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What can be logged at a tank with the tasks 10 and 11 and the filter 1. */
class ServiceChecksTest {
    private static final ServiceChecks.Owned OWNED = new ServiceChecks.Owned(Set.of(10L, 11L), Set.of(1L));
    private static final Done OPENED = new Done(10, null);

    private static ServiceInput service(String note, List<Done> tasks, List<FlowInput> flows, Part... parts) {
        return new ServiceInput(
                5,
                LocalDate.of(2026, 6, 1),
                "Ada",
                null,
                note,
                tasks,
                flows,
                new Circumstances(null, null, List.of(parts)));
    }

    private static FlowInput flow(@Nullable Double rate, @Nullable Double litres, @Nullable Double seconds) {
        return new FlowInput(1, null, new FlowReading(rate, litres, seconds));
    }

    private static List<String> wrong(ServiceInput input) {
        return catchThrowableOfType(Rejected.class, () -> ServiceChecks.check(OWNED, input)).violations().stream()
                .map(violation -> violation.field() + " " + violation.code())
                .toList();
    }

    @Test
    void a_task_done_a_note_or_a_flow_is_something_to_log() {
        for (ServiceInput input : List.of(
                service("", List.of(OPENED), List.of()),
                service("Wiped the lid.", List.of(), List.of()),
                service("", List.of(), List.of(flow(400.0, null, null))))) {
            assertThatCode(() -> ServiceChecks.check(OWNED, input)).doesNotThrowAnyException();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  "})
    void nothing_at_all_is_not(String note) {
        assertThat(wrong(service(note, List.of(), List.of(new FlowInput(1, null, null)))))
                .containsExactly("tasks too-few");
    }

    @Test
    void work_at_another_tank_is_not_there() {
        assertThatThrownBy(() -> ServiceChecks.check(OWNED, service("", List.of(new Done(12, null)), List.of())))
                .isInstanceOf(NotFound.class);
        assertThatThrownBy(() ->
                        ServiceChecks.check(OWNED, service("", List.of(OPENED), List.of(new FlowInput(2, null, null)))))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void whatever_is_listed_twice_is_told_at_its_field_all_at_once() {
        FlowInput flow = flow(400.0, null, null);

        assertThat(wrong(service(
                        "",
                        List.of(OPENED, OPENED),
                        List.of(flow, flow),
                        new Part("O-ring", 1),
                        new Part("O-ring", 2))))
                .containsExactly("tasks twice", "flows twice", "circumstances.parts twice");
    }

    @ParameterizedTest
    @CsvSource({"2, , flows[0].after.seconds needed", ", 10, flows[0].after.litres needed"})
    void a_catch_needs_its_litres_and_its_seconds(@Nullable Double litres, @Nullable Double seconds, String said) {
        assertThat(wrong(service("", List.of(OPENED), List.of(flow(null, litres, seconds)))))
                .containsExactly(said);
    }

    @Test
    void a_flow_is_what_was_caught_in_its_time_or_else_what_was_typed() {
        assertThat(FlowReading.rate(new FlowReading(null, 2.0, 10.0))).isEqualTo(720);
        assertThat(FlowReading.rate(new FlowReading(400.0, null, null))).isEqualTo(400);
        assertThat(FlowReading.rate(null)).isNull();
    }
}
