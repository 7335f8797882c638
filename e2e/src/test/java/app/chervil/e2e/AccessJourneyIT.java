package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Every view of the demo: by its rules of access in both themes, and at the width of a phone by a thumb's. */
class AccessJourneyIT extends InTheDemo {
    @Test
    void every_view_is_accessible_in_both_themes_and_fits_a_phone() {
        for (String path : List.of(
                "/",
                "/tanks",
                "/tanks/2",
                "/tanks/2/log?tasks=9,11",
                "/tanks/2/prepare?tasks=9",
                "/tanks/2/tasks/6",
                "/bench",
                "/bench/what-if",
                "/bench/vessels",
                "/bench/sums/catch?tank=2",
                "/bench/sums/mix?tank=2",
                "/bench/sums/buckets?tank=2",
                "/how",
                "/ledger",
                "/tanks/new",
                "/tanks/2/edit",
                "/tanks/2/water",
                "/tanks/2/water/readings",
                "/tanks/2/water/change",
                "/plan",
                "/stores",
                "/log",
                "/water",
                "/units",
                "/people")) {
            keeper.takePhone();
            keeper.goWithin(path);
            keeper.viewDoesNotScrollSideways();
            keeper.viewIsForThumbs();
            keeper.viewIsAccessible();
            keeper.takeDesk();
            keeper.viewIsAccessible();
        }
    }

    @Test
    void views_for_the_table_are_accessible_in_both_themes() {
        for (String path : List.of(
                "/tanks/3",
                "/tanks/2/filters/new",
                "/tanks/2/filters/2",
                "/tanks/2/prepare?tasks=9,11",
                "/stores/1",
                "/stores/new",
                "/bench/trials",
                "/bench/compare",
                "/stores/media",
                "/bench/trials/new",
                "/tanks/3/tasks/27",
                "/bench/rules",
                "/bench/template?aMm=188&bMm=300&holeMm=25&shape=RECT",
                "/bench/sums/cost?tank=3",
                "/bench/sums/uv?tank=5",
                "/nowhere")) {
            keeper.goWithin(path);
            keeper.viewIsAccessible();
        }
    }

    @Test
    void a_view_turns_with_the_phone() {
        keeper.takePhone();
        keeper.viewTurnsWithThePhone();
    }

    @Test
    void the_check_for_thumbs_can_fail() {
        keeper.takePhone();
        keeper.page().evaluate("document.querySelector('main').insertAdjacentHTML('afterbegin', '<button>x</button>')");

        assertThatThrownBy(keeper::viewIsForThumbs).hasMessageContaining("BUTTON");
    }

    @Test
    void the_check_for_accessibility_can_fail() {
        keeper.page().evaluate("document.body.append(document.createElement('img'))");

        assertThatThrownBy(keeper::viewIsAccessible).hasMessageContaining("image-alt");
    }
}
