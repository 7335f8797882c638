package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.OPENING;
import static app.chervil.core.visit.Logs.forecast;
import static app.chervil.core.visit.Logs.service;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Schools;
import app.chervil.core.visit.BookedTask.StagePart;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A pad in the easy tray of a canister is changed without opening it for its dirt. */
class ErrandTest {
    private static final long PAD = 71;

    @Test
    void a_pad_within_reach_is_due_by_its_own_dirt_and_not_with_the_opening() {
        assertThat(canister(true).forecasts(DAY.plusDays(5)).get(PAD).basis()).isEqualTo(Forecast.Basis.START);
        assertThat(canister(false).forecasts(DAY.plusDays(5)).get(PAD).basis()).isEqualTo(Forecast.Basis.WITH_OPENING);
    }

    @Test
    void changing_it_is_no_opening() {
        LoggedService changed = service(30, Map.of(PAD, Optional.of(Finding.MODERATE)));

        assertThat(forecast(canister(true, changed), OPENING).since()).isEqualTo(DAY);
        assertThat(forecast(canister(false, changed), OPENING).since()).isEqualTo(DAY.plusDays(30));
        assertThat(forecast(canister(true, changed), PAD).since()).isEqualTo(DAY.plusDays(30));
    }

    private static FilterBook canister(boolean errand, LoggedService... services) {
        Start start = Start.exact(DAY);
        BookedTask opening = new BookedTask(
                OPENING,
                Optional.empty(),
                start,
                CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                        .orElseThrow(),
                new Learned());
        BookedTask pad = new BookedTask(
                PAD,
                Optional.of(
                        new StagePart(PAD, StageKind.FINE_PAD, Optional.empty(), Endurance.UNKNOWN, List.of(), errand)),
                start,
                CareCatalogue.find(Stage.disposable(StageKind.FINE_PAD), CareAction.CHANGE, Schools.DEFAULT)
                        .orElseThrow(),
                new Learned());
        return Logs.book(List.of(opening, pad), List.of(services), FilterKind.CANISTER);
    }
}
