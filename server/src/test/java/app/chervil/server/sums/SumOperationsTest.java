package app.chervil.server.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.procedure.Tubs;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.sums.SumMapper.KeptRow;
import app.chervil.server.sums.SumMapper.RuleRow;
import app.chervil.server.sums.SumMapper.VesselRow;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What sums do with a site's rules and vessels; the tables are pretended. */
class SumOperationsTest {
    private static final SignedIn MARIT = new SignedIn(7, 3, "Marit", Role.KEEPER);

    private final SumMapper mapper = mock(SumMapper.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final SumOperations operations =
            new SumOperations(mapper, tanks, Clock.fixed(Instant.parse("2026-06-01T08:00:00Z"), ZoneOffset.UTC));

    @Test
    void a_kept_rule_is_shown_beside_ours() {
        when(mapper.listRules(3)).thenReturn(List.of(new RuleRow("cut.oversizeMm", 2)));

        SumView cut = operations.list(MARIT).stream()
                .filter(sum -> sum.name().equals("cut"))
                .findFirst()
                .orElseThrow();

        assertThat(cut.fields())
                .filteredOn(field -> field.name().equals("oversizeMm"))
                .singleElement()
                .satisfies(field -> {
                    assertThat(field.otherwise()).isEqualTo(2.0);
                    assertThat(field.ours()).isEqualTo(4.0);
                });
    }

    @Test
    void a_rule_out_of_range_is_not_stored() {
        assertThatThrownBy(() -> operations.keepRule(MARIT, "cut.oversizeMm", 10.5))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> operations.keepRule(MARIT, "cut.oversizeMm", Double.NaN))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> operations.keepRule(MARIT, "cut.luck", 1)).isInstanceOf(NotFound.class);

        verify(mapper, never()).saveRule(anyLong(), any());
    }

    @Test
    void sums_are_kept_only_for_tanks_of_the_site() {
        when(tanks.find(MARIT, 99)).thenThrow(new NotFound("tank"));

        assertThatThrownBy(() -> operations.keep(MARIT, 99, "mix", Map.of("coldC", 10)))
                .isInstanceOf(NotFound.class);

        verify(mapper, never()).saveKept(anyLong(), anyLong(), any());
    }

    @Test
    void more_than_twenty_thousand_characters_of_one_sum_are_not_kept() {
        String longest = "x".repeat(20_000 - "{\"coldC\":\"\"}".length());

        operations.keep(MARIT, 7, "mix", Map.of("coldC", longest));
        assertThatThrownBy(() -> operations.keep(MARIT, 7, "mix", Map.of("coldC", longest + "x")))
                .isInstanceOf(Rejected.class);

        verify(mapper)
                .saveKept(
                        3,
                        7,
                        new KeptRow("mix", new Given(Map.of("coldC", longest)), Instant.parse("2026-06-01T08:00:00Z")));
    }

    @Test
    void the_forty_first_vessel_is_refused_but_the_fortieth_may_change() {
        List<VesselRow> forty = IntStream.range(0, 40)
                .mapToObj(number -> new VesselRow(new UUID(0, number), VesselInput.Kind.TUB, "Tub " + number, 8000))
                .toList();
        when(mapper.listVessels(3)).thenReturn(forty);
        VesselInput tub = new VesselInput(VesselInput.Kind.TUB, " Tub ", 9000.0);

        assertThatThrownBy(() -> operations.saveVessel(MARIT, new UUID(1, 1), tub))
                .isInstanceOf(Rejected.class);
        operations.saveVessel(MARIT, new UUID(0, 5), tub);

        verify(mapper).saveVessel(3, new VesselRow(new UUID(0, 5), VesselInput.Kind.TUB, "Tub", 9000));
    }

    @Test
    void tubs_are_told_in_litres_and_caps_are_none() {
        when(mapper.listVessels(3))
                .thenReturn(List.of(
                        new VesselRow(new UUID(0, 1), VesselInput.Kind.TUB, "Small", 8000),
                        new VesselRow(new UUID(0, 2), VesselInput.Kind.CAP, "Cap", 5)));

        assertThat(operations.tubs(MARIT)).containsExactly(new Tubs.Vessel("Small", 8));
    }
}
