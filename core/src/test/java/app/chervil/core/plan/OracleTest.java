package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Planner.Effort;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * An independent solver, told the same rules another way, finds nothing better. {@code -Dchervil.thorough=true} asks it of
 * sites over which it has long to think.
 */
class OracleTest {
    private static final int SECONDS = 120;

    static LongStream seeds() {
        LongStream sites = LongStream.of(201, 205, 208, 210, 211);
        return Boolean.getBoolean("chervil.thorough")
                ? LongStream.concat(sites, LongStream.of(202, 203, 206, 207, 209))
                : sites;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_plan_of_one_tank_is_the_best_there_is(long seed) {
        Instance instance = PlanWorlds.of(1, 4, seed);

        Plan plan = Planner.plan(instance, Effort.BACKGROUND, seed);

        Oracle.Answer oracle = Oracle.solve(instance, SECONDS);
        assertThat(oracle.proven()).isTrue();
        assertThat((double) plan.score().hard()).isEqualTo(oracle.hard());
        assertThat(plan.score().soft()).isEqualTo(Math.round(oracle.soft()));
    }
}
