package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class DevicesBenchTest {
    @Test
    void a_meter_leads_at_least_half_of_the_way_to_who_knows_how_fast_stages_fill() {
        DevicesBench.Result result = DevicesBench.run(BenchOptions.seedsOf("devices", "--seeds", "951001-951030"));

        assertThat(result.byKind()).hasSize(4);
        assertThat(result.all().way()).isGreaterThan(0.5);
        assertThat(result.all().metered()).isLessThan(result.all().measured());
    }

    @Test
    void it_takes_seeds_and_nothing_else() {
        assertThatThrownBy(() -> BenchOptions.seedsOf("devices", "--seed", "1"))
                .hasMessageContaining("./chervil bench devices --seeds FROM-TO");
    }
}
