package app.chervil.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Supply;
import app.chervil.server.stock.StockItemInput.KitLine;
import app.chervil.server.stock.StoresView.FitView;
import app.chervil.server.stock.Wants.Want;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Which filters a kit fits: the same parts in the same size. */
class KitFitsTest {
    private static final Want RINGS = want(1, "Weir", Material.SEAL_RINGS, "60 mm");
    private static final Want IMPELLER = want(2, "Weir", Material.IMPELLER_SET, "");
    private static final Want OTHER_RINGS = want(3, "Creek", Material.SEAL_RINGS, "75 mm");
    private static final Want OTHER_IMPELLER = want(4, "Creek", Material.IMPELLER_SET, "");

    private static Want want(long task, String filter, Material material, String size) {
        return new Want(task, "Brook bench", filter, Supply.of(material, size), 1, LocalDate.of(2026, 6, 1), 365);
    }

    private static Wants site(Want... wants) {
        return new Wants(Arrays.stream(wants)
                .collect(Collectors.groupingBy(want -> Wants.key(want.supply().name()))));
    }

    private static List<KitLine> kit(Want... of) {
        return Arrays.stream(of)
                .map(want -> new KitLine(want.supply().name().toUpperCase(java.util.Locale.ROOT), 1))
                .toList();
    }

    @Test
    void a_kit_fits_the_filter_that_uses_all_of_it_however_its_names_are_written() {
        assertThat(site(RINGS, IMPELLER).fits(kit(RINGS, IMPELLER)))
                .containsExactly(new FitView("Weir", "Brook bench", List.of()));
    }

    @Test
    void what_differs_in_size_is_named_and_such_a_filter_comes_last() {
        List<FitView> fits = site(OTHER_RINGS, OTHER_IMPELLER, RINGS, IMPELLER).fits(kit(RINGS, IMPELLER));

        assertThat(fits).extracting(FitView::filter).containsExactly("Weir", "Creek");
        assertThat(fits.get(1).lacks()).singleElement().satisfies(name -> assertThat(name)
                .containsIgnoringCase("60 mm"));
    }

    @Test
    void a_kit_of_which_nothing_is_used_fits_none() {
        assertThat(site(OTHER_RINGS).fits(kit(RINGS))).isEmpty();
    }
}
