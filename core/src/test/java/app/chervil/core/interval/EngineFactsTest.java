package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What keepers are told. Expected numbers: the engine's vectors, docs/sources.md#interval-vectors, in whole days. */
class EngineFactsTest {
    private final EngineFacts facts = EngineFacts.workedOut();

    @Test
    void the_example_follows_the_vectors_grade_by_grade_and_flow_by_flow() {
        assertThat(facts.exampleDays()).isEqualTo(75);
        assertThat(facts.afterGrade()).containsExactly(113L, 113L, 83L, 65L, 45L);
        assertThat(facts.afterFlow())
                .containsExactly(
                        new EngineFacts.AfterFlow(95, 91),
                        new EngineFacts.AfterFlow(80, 77),
                        new EngineFacts.AfterFlow(60, 57));
    }

    @Test
    void first_intervals_are_those_of_the_page() {
        assertThat(facts.starts()).extracting(EngineFacts.Start::firstDays).containsExactly(18L, 12L, 50L, 72L);
    }

    /** v ÷ (v + 0.65²) with v = 0.37 + 0.025 for the drift of 75 days: 48 %, and so on down. */
    @Test
    void findings_count_for_less_the_more_there_are() {
        assertThat(facts.weights().get(0)).isEqualTo(48);
        assertThat(facts.weights()).hasSize(5).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }

    @Test
    void changes_and_limits_are_those_the_engine_uses() {
        assertThat(facts.changes()).extracting(EngineFacts.Change::percent).containsExactly(40L, 25L, -70L, -35L);
        assertThat(facts.limits()).isEqualTo(new EngineFacts.Limits(1.5, 8, 72, 75, 105, 120, 60));
    }
}
