package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.interval.Finding;
import app.chervil.server.visit.ServiceInput.Circumstances;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceInput.Part;
import app.chervil.server.visit.ServiceView.DoneView;
import app.chervil.server.visit.ServiceView.FlowView;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two people logged the same work. */
class MergingTest {
    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

    @ParameterizedTest
    @CsvSource({
        "LIGHT, HEAVY, HEAVY",
        "HEAVY, LIGHT, HEAVY",
        ", CLEAN, CLEAN",
        "CLEAN, , CLEAN",
        ", , ",
    })
    void of_two_grades_the_fuller_stands_and_any_before_none(
            @Nullable Finding kept, @Nullable Finding other, @Nullable Finding merged) {
        ServiceInput one = Merging.of(service("Ada", done(5, kept)), service("Ben", done(5, other)));

        assertThat(one.tasks()).containsExactly(new Done(5, merged));
    }

    @Test
    void every_task_of_both_is_done_once() {
        ServiceInput one = Merging.of(
                service("Ada", done(5, Finding.LIGHT), done(6, null)), service("Ben", done(7, null), done(6, null)));

        assertThat(one.tasks()).extracting(Done::taskId).containsExactly(5L, 6L, 7L);
        assertThat(one.doneBy()).isEqualTo("Ada and Ben");
    }

    @ParameterizedTest
    @CsvSource({"20, 30, 30", "30, 20, 30", ", 20, 20", "20, , 20", ", , "})
    void the_longer_time_stands(@Nullable Integer kept, @Nullable Integer other, @Nullable Integer merged) {
        assertThat(Merging.of(timed("Ada", kept, ""), timed("Ben", other, "")).minutes())
                .isEqualTo(merged);
        assertThat(Merging.of(timed("Ada", kept, ""), timed("Ben", other, ""))
                        .known()
                        .filterOffMinutes())
                .isEqualTo(merged);
    }

    @ParameterizedTest
    @CsvSource({"'Foam torn.', 'Snail in pad.', 'Foam torn. Snail in pad.'", "'', 'Only this.', 'Only this.'"})
    void the_notes_of_both_are_kept(String kept, String other, String merged) {
        assertThat(Merging.of(timed("Ada", 5, kept), timed("Ben", 5, other)).note())
                .isEqualTo(merged);
    }

    @Test
    void a_flow_that_only_one_measured_is_kept_and_of_two_the_one_of_who_stays() {
        ServiceView kept = flows("Ada", new FlowView(1, 700.0, null));
        ServiceView other = flows("Ben", new FlowView(1, 500.0, 900.0), new FlowView(2, null, 300.0));

        assertThat(Merging.of(kept, other).flows())
                .containsExactly(
                        new FlowInput(1, new FlowReading(700.0, null, null), null),
                        new FlowInput(2, null, new FlowReading(300.0, null, null)));
    }

    @Test
    void both_wrote_down_the_same_parts_so_the_larger_count_stands() {
        ServiceView kept = parts("Ada", new Part("Fine pad", 1), new Part("Sock", 2));
        ServiceView other = parts("Ben", new Part("Fine pad", 3), new Part("Carbon", 1));

        assertThat(Merging.of(kept, other).known().parts())
                .containsExactly(new Part("Fine pad", 3), new Part("Sock", 2), new Part("Carbon", 1));
    }

    @ParameterizedTest
    @CsvSource({"true, true, true", "true, false, false", "false, true, false", ", true, false"})
    void it_was_opened_for_another_reason_only_if_both_say_so(
            @Nullable Boolean kept, @Nullable Boolean other, boolean merged) {
        ServiceInput one = Merging.of(
                known("Ada", new Circumstances(null, null, List.of(), kept)),
                known("Ben", new Circumstances(null, null, List.of(), other)));

        assertThat(one.known().nothingCleaned()).isEqualTo(merged);
    }

    @ParameterizedTest
    @CsvSource({"'It leaked.', 'It smelt.', 'It leaked.'", ", 'It smelt.', 'It smelt.'"})
    void a_reason_that_was_written_is_not_lost(@Nullable String kept, @Nullable String other, String merged) {
        ServiceInput one = Merging.of(
                known("Ada", new Circumstances(null, kept, List.of())),
                known("Ben", new Circumstances(null, other, List.of())));

        assertThat(one.known().overrideReason()).isEqualTo(merged);
    }

    private static ServiceView service(String by, DoneView... done) {
        return view(by, null, "", List.of(done), List.of(), Circumstances.NONE);
    }

    private static ServiceView timed(String by, @Nullable Integer minutes, String note) {
        return view(by, minutes, note, List.of(), List.of(), new Circumstances(minutes, null, List.of()));
    }

    private static ServiceView flows(String by, FlowView... flows) {
        return view(by, null, "", List.of(), List.of(flows), Circumstances.NONE);
    }

    private static ServiceView parts(String by, Part... parts) {
        return known(by, new Circumstances(null, null, List.of(parts)));
    }

    private static ServiceView known(String by, Circumstances known) {
        return view(by, null, "", List.of(), List.of(), known);
    }

    private static ServiceView view(
            String by,
            @Nullable Integer minutes,
            String note,
            List<DoneView> done,
            List<FlowView> flows,
            Circumstances known) {
        return new ServiceView(UUID.randomUUID(), 1, 3, DAY, by, null, minutes, note, done, flows, known, 0);
    }

    private static DoneView done(long task, @Nullable Finding finding) {
        return new DoneView(task, 1, null, "Task", "Done", finding, null);
    }
}
