package app.chervil.server.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyDouble;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.water.Parameter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.TapMapper.TapRow;
import app.chervil.server.water.TapOperations.TapInput;
import app.chervil.server.water.TapOperations.TapView;
import java.util.List;
import org.junit.jupiter.api.Test;

class TapOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);

    private final TapMapper mapper = mock(TapMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final TapOperations taps = new TapOperations(mapper, tanks);

    @Test
    void nothing_stated_is_nothing_known() {
        when(mapper.list(7)).thenReturn(List.of());

        assertThat(taps.list(KEEPER, 3))
                .containsExactly(
                        new TapView(Parameter.NITRATE, null, false), new TapView(Parameter.PHOSPHATE, null, false));
        assertThat(taps.tap(KEEPER, 3, Parameter.NITRATE).sd()).isPositive();
    }

    @Test
    void the_value_of_a_tank_comes_before_that_of_its_site_and_is_nobody_elses() {
        when(mapper.list(7)).thenReturn(List.of(new TapRow(null, "NITRATE", 25), new TapRow(3L, "NITRATE", 2)));

        assertThat(taps.list(KEEPER, 3)).contains(new TapView(Parameter.NITRATE, 2.0, true));
        assertThat(taps.list(KEEPER, 4)).contains(new TapView(Parameter.NITRATE, 25.0, false));
        assertThat(taps.tap(KEEPER, 4, Parameter.NITRATE).value()).isEqualTo(25);
    }

    @Test
    void what_a_stated_tap_brings_is_nobodys_value_for_another_parameter() {
        when(mapper.list(7)).thenReturn(List.of(new TapRow(null, "NITRATE", 25)));

        assertThat(taps.list(KEEPER, 3)).contains(new TapView(Parameter.PHOSPHATE, null, false));
    }

    @Test
    void a_value_left_blank_is_forgotten() {
        taps.save(KEEPER, new TapInput(null, Parameter.NITRATE, null));

        verify(mapper).delete(anyLong(), isNull(), anyString());
        verify(mapper, never()).save(anyLong(), isNull(), anyString(), anyDouble());
    }

    @Test
    void a_tank_of_another_site_is_not_found_and_nothing_is_kept() {
        when(tanks.find(KEEPER, 9)).thenThrow(new NotFound("tank"));

        assertThatThrownBy(() -> taps.save(KEEPER, new TapInput(9L, Parameter.NITRATE, 5.0)))
                .isInstanceOf(NotFound.class);
        verify(mapper, never()).save(anyLong(), any(), anyString(), anyDouble());
    }

    @Test
    void only_what_matters_in_tap_water_is_asked() {
        assertThatThrownBy(() -> taps.save(KEEPER, new TapInput(null, Parameter.PH, 7.0)))
                .isInstanceOf(Rejected.class)
                .hasMessage("Nitrate and phosphate of tap water matter here.");
    }
}
