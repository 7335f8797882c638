package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class ChainIdTest {
    @Test
    void a_task_and_a_chore_of_the_same_number_are_two() {
        assertThat(ChainId.ofTask(7)).isNotEqualTo(ChainId.ofChore(7));
        assertThat(ChainId.ofTask(7).task()).contains(7L);
        assertThat(ChainId.ofChore(7).task()).isEmpty();
    }

    @Test
    void what_is_written_is_read_again() {
        assertThat(ChainId.valueOf(ChainId.ofTask(7).toString())).isEqualTo(ChainId.ofTask(7));
        assertThat(ChainId.valueOf(ChainId.ofChore(7).toString())).isEqualTo(ChainId.ofChore(7));
        assertThatThrownBy(() -> ChainId.valueOf("water change")).isInstanceOf(NumberFormatException.class);
    }

    @Test
    void they_stand_by_their_number() {
        assertThat(ChainId.ofChore(2)).isLessThan(ChainId.ofChore(1)).isLessThan(ChainId.ofTask(1));
    }

    @Test
    void no_two_of_a_site_fall_on_one_hash() {
        Set<Integer> hashes = new HashSet<>();
        LongStream.rangeClosed(1, 5000).forEach(number -> {
            hashes.add(ChainId.ofTask(number).hashCode());
            hashes.add(ChainId.ofChore(number).hashCode());
        });

        assertThat(hashes).hasSize(10_000);
    }
}
