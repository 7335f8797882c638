package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.sim.bench.MessyBench.Row;
import app.chervil.sim.bench.MessyLife.Anomaly;
import java.util.List;
import org.junit.jupiter.api.Test;

class MessyBenchTest {
    private static final List<Row> ROWS = MessyBench.rows(11, 12);

    private static Row row(Anomaly anomaly) {
        return ROWS.stream().filter(row -> row.anomaly() == anomaly).findFirst().orElseThrow();
    }

    @Test
    void no_log_depends_on_its_order_keeps_a_trace_or_lengthens_by_dirt() {
        assertThat(row(Anomaly.ORDER).count()).isZero();
        assertThat(row(Anomaly.TRACE).count()).isZero();
        assertThat(row(Anomaly.MORE_DIRT).count()).isZero();
        assertThat(row(Anomaly.SHIFT).count()).isZero();
        assertThat(row(Anomaly.UNSEEN_LONGER).count()).isZero();
    }

    @Test
    void steps_are_entries_and_ends_are_stages() {
        assertThat(row(Anomaly.TRACE).of()).isGreaterThan(2 * 50);
        assertThat(row(Anomaly.ORDER).of()).isEqualTo(4);
    }

    @Test
    void a_life_is_the_same_for_its_seed() {
        assertThat(MessyLife.of(14)).isEqualTo(MessyLife.of(14));
    }

    @Test
    void one_more_than_allowed_is_not_met() {
        assertThat(new Row(Anomaly.UNSEEN_LONGER, 2, 10_000, 1).met()).isFalse();
        assertThat(new Row(Anomaly.UNSEEN_LONGER, 1, 10_000, 1).met()).isTrue();
    }
}
