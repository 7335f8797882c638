package app.chervil.server.device;

import static app.chervil.server.TestUnits.american;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.calc.Unit;
import app.chervil.core.device.DeviceKind;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.device.AlertMapper.AlertRow;
import app.chervil.server.device.AlertMapper.MailWish;
import app.chervil.server.mail.Post;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AlertMailOperationsTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-06-01T00:30:00Z");
    private static final MailWish MARIT = new MailWish("marit@tern.example", 22, 7);

    private final AlertMapper alerts = mock(AlertMapper.class);
    private final DeviceMapper devices = mock(DeviceMapper.class);
    private final AccountOperations accounts = mock(AccountOperations.class);
    private final Post post = mock(Post.class);

    private AlertMailOperations at(Instant now) {
        return new AlertMailOperations(alerts, devices, accounts, post, Clock.fixed(now, ZoneOffset.UTC));
    }

    private static AlertRow alert(String alarm, @Nullable Instant quietUntil) {
        return new AlertRow(
                5, 7, 3, alarm, MIDNIGHT.minusSeconds(2000), null, null, null, null, null, quietUntil, null, null);
    }

    private static AlertRow measured(String alarm, double read, double usual) {
        return new AlertRow(
                5, 7, 3, alarm, MIDNIGHT.minusSeconds(2000), null, read, usual, null, null, null, null, null);
    }

    @BeforeEach
    void aLeakSensor() {
        when(post.open()).thenReturn(true);
        when(devices.list(1, null))
                .thenReturn(List.of(new DeviceRow(
                        1,
                        7,
                        3,
                        null,
                        null,
                        DeviceKind.LEAK,
                        "Under the stand",
                        LocalDate.EPOCH,
                        null,
                        null,
                        null,
                        1,
                        "Brook",
                        null,
                        null,
                        null)));
        when(alerts.listMails(1)).thenReturn(List.of(MARIT));
        when(alerts.updateSent(anyLong(), anyLong(), any())).thenReturn(1);
        when(accounts.unitsOf(1)).thenReturn(american(Unit.US_GALLON));
    }

    @Test
    void danger_is_mailed_at_any_hour_with_what_is_and_what_to_do() {
        when(alerts.list(eq(1L), any())).thenReturn(List.of(alert("LEAK", null)));

        at(MIDNIGHT).send(1);

        verify(post).send(eq(MARIT.address()), eq("Brook: Water at Under the stand, Brook."), contains("breaker"));
    }

    @Test
    void what_was_measured_is_mailed_in_the_units_of_the_site() {
        when(alerts.list(eq(1L), any())).thenReturn(List.of(measured("TOO_WARM", 31, 25)));

        at(Instant.parse("2026-06-01T12:00:00Z")).send(1);

        verify(post).send(any(), eq("Brook: Brook is at 87.8 °F, usually 77 °F."), any());
    }

    @Test
    void the_rest_waits_for_the_end_of_the_quiet_hours() {
        when(alerts.list(eq(1L), any())).thenReturn(List.of(alert("SILENT", null)));

        at(MIDNIGHT).send(1);
        verify(post, never()).send(any(), any(), any());

        at(Instant.parse("2026-06-01T07:00:00Z")).send(1);
        verify(post).send(any(), any(), any());
    }

    @Test
    void a_server_that_finds_it_sent_already_sends_nothing() {
        when(alerts.list(eq(1L), any())).thenReturn(List.of(alert("LEAK", null)));
        when(alerts.updateSent(anyLong(), anyLong(), any())).thenReturn(1, 0);

        at(MIDNIGHT).send(1);
        at(MIDNIGHT).send(1);

        verify(post, times(1)).send(any(), any(), any());
    }

    @Test
    void what_was_silenced_or_has_only_just_gone_off_is_not_mailed() {
        when(alerts.list(eq(1L), any()))
                .thenReturn(List.of(alert("LEAK", MIDNIGHT.plusSeconds(60)), alert("FILTER_OFF", null)));

        at(MIDNIGHT).send(1);

        verify(post, never()).send(any(), any(), any());
    }

    @ParameterizedTest
    @CsvSource({
        "22, 7, 23, true",
        "22, 7, 6, true",
        "22, 7, 7, false",
        "22, 7, 12, false",
        "8, 8, 8, false",
        "1, 5, 1, true",
        "1, 5, 5, false"
    })
    void quiet_hours_go_round_midnight(int from, int to, int hour, boolean quiet) {
        assertThat(AlertMailOperations.quiet(new MailWish("a@b.example", from, to), hour))
                .isEqualTo(quiet);
    }
}
