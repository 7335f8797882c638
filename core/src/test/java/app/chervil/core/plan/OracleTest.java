package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Planner.Effort;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** An independent solver, told the same rules another way, finds nothing better. */
class OracleTest {
    private static final int SECONDS = 120;

    @ParameterizedTest
    @ValueSource(longs = {201, 203, 206})
    void the_plan_of_one_tank_is_the_best_there_is(long seed) {
        Instance instance = PlanWorlds.of(1, 4, seed);

        Plan plan = Planner.plan(instance, Effort.BACKGROUND, seed);

        Oracle.Answer oracle = Oracle.solve(instance, SECONDS);
        assertThat(oracle.proven()).isTrue();
        assertThat((double) plan.score().hard()).isEqualTo(oracle.hard());
        assertThat(plan.score().soft()).isEqualTo(Math.round(oracle.soft()));
    }
}
