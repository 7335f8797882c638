package app.chervil.core.sums;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.sums.Guillotine.Placed;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class GuillotineTest {
    private static final int SHEETS = 2_000;

    @Test
    void five_of_four_by_three_come_out_of_ten_by_seven() {
        Guillotine cut = new Guillotine(4, 3, 10, 7);

        assertThat(cut.best()).isEqualTo(5);
        assertThat(cut.grid()).isEqualTo(4);
        assertThat(cut.turnedGrid()).isEqualTo(3);
    }

    @Test
    void a_sheet_that_is_the_piece_needs_no_cut() {
        assertThat(new Guillotine(30, 20, 30, 20).cuts()).isZero();
        assertThat(new Guillotine(30, 20, 20, 30).cuts()).isZero();
    }

    @Test
    void a_trim_counts_as_a_cut() {
        assertThat(new Guillotine(30, 20, 31, 20).cuts()).isEqualTo(1);
        assertThat(new Guillotine(30, 20, 31, 21).cuts()).isEqualTo(2);
    }

    @Test
    void no_layout_of_a_small_sheet_has_more_pieces_or_fewer_cuts() {
        SplittableRandom random = new SplittableRandom(16);
        for (int sheet = 0; sheet < SHEETS; sheet++) {
            int p = random.nextInt(1, 14);
            int q = random.nextInt(1, 14);
            int w = random.nextInt(Math.max(p, q), 40);
            int h = random.nextInt(Math.max(p, q), 40);

            Guillotine cut = new Guillotine(p, q, w, h);

            EveryCut every = new EveryCut(p, q, w, h);
            assertThat(cut.best()).as("%d×%d of %d×%d", p, q, w, h).isEqualTo(every.best());
            assertThat(cut.cuts()).as("cuts for %d×%d of %d×%d", p, q, w, h).isEqualTo(every.cuts());
        }
        System.out.printf("GuillotineTest: %,d sheets against every cut%n", SHEETS);
    }

    @Test
    void pieces_lie_within_the_sheet_and_beside_each_other() {
        SplittableRandom random = new SplittableRandom(17);
        int pieces = 0;
        for (int sheet = 0; sheet < SHEETS; sheet++) {
            int p = random.nextInt(20, 200);
            int q = random.nextInt(20, 200);
            int w = random.nextInt(200, 900);
            int h = random.nextInt(200, 900);
            if ((long) w * h / ((long) p * q) > 150) {
                continue;
            }

            Guillotine cut = new Guillotine(p, q, w, h);
            List<Placed> placed = cut.layout(p, q);

            assertThat(placed).hasSize(cut.best());
            placed.forEach(
                    one -> assertThat(one.x() + one.w() <= w && one.y() + one.h() <= h && one.w() * one.h() == p * q)
                            .as("%s within %d×%d", one, w, h)
                            .isTrue());
            assertThat(overlaps(placed)).isZero();
            pieces += placed.size();
        }
        System.out.printf("GuillotineTest: %,d pieces laid%n", pieces);
    }

    private static long overlaps(List<Placed> placed) {
        long found = 0;
        for (int one = 0; one < placed.size(); one++) {
            for (int other = one + 1; other < placed.size(); other++) {
                Placed a = placed.get(one);
                Placed b = placed.get(other);
                if (a.x() < b.x() + b.w() && b.x() < a.x() + a.w() && a.y() < b.y() + b.h() && b.y() < a.y() + a.h()) {
                    found++;
                }
            }
        }
        return found;
    }
}
