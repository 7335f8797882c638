package app.chervil.server.trial;

import app.chervil.core.site.PastService;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Heard;
import app.chervil.core.trial.Held;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production.Tried;
import app.chervil.core.water.Production.Turns;
import app.chervil.core.water.Reading;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.ServiceLog;
import app.chervil.server.trial.TankEventOperations.EventView;
import app.chervil.server.trial.TrialMapper.TrialRow;
import app.chervil.server.trial.TrialTold.Lived;
import app.chervil.server.trial.TrialView.TrialChange;
import app.chervil.server.trial.TrialView.WatchedParameter;
import app.chervil.server.trial.TrialView.WatchedUnder;
import app.chervil.server.water.TankWaterOperations;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** What the log and the readings say of a trial, worked out at every question. */
@Component
class TrialTelling {
    /** What a tank makes; all else it holds. */
    static final Set<Parameter> MADE = Set.of(Parameter.NITRATE, Parameter.PHOSPHATE);

    private final TankWaterOperations water;
    private final ServiceLog history;
    private final TankEventOperations events;

    TrialTelling(TankWaterOperations water, ServiceLog history, TankEventOperations events) {
        this.water = water;
        this.history = history;
        this.events = events;
    }

    TrialTold told(SignedIn who, TrialRow row, Placed placed, LocalDate today) {
        LocalDate until = row.lived(today).plusDays(1);
        Design design = row.design();
        List<EventView> meanwhile = events.list(who, row.tankId(), row.beganOn(), until);
        Turns turns = new Turns(
                design.phases(until),
                design.settles(placed.settles()),
                meanwhile.stream()
                        .map(EventView::onDay)
                        // What has been there from the start on changes nothing between the ways.
                        .filter(day -> day.isAfter(row.beganOn()))
                        .toList());
        Lived lived = new Lived(
                services(who, row, until),
                water.read(who, row.tankId(), row.parameter(), row.beganOn(), until).stream()
                        .filter(Reading::trusted)
                        .map(Reading::on)
                        .toList(),
                row.setup().watched().stream()
                        .map(parameter -> watched(who, row, parameter, turns, until))
                        .toList(),
                meanwhile.stream().map(event -> change(event, turns)).toList());
        return new TrialTold(row, lived, heard(who, row, row.parameter(), turns, until), today);
    }

    private Heard heard(SignedIn who, TrialRow row, Parameter parameter, Turns turns, LocalDate until) {
        return new Heard(
                row.design().had(until), row.ways().size(), water.compare(who, row.tankId(), parameter, turns, until));
    }

    private static TrialChange change(EventView event, Turns turns) {
        return new TrialChange(
                event.id(), event.onDay(), event.words(), turns.shifts().contains(event.onDay()));
    }

    private WatchedParameter watched(SignedIn who, TrialRow row, Parameter parameter, Turns turns, LocalDate until) {
        List<WatchedUnder> byWay;
        if (MADE.contains(parameter)) {
            Heard heard = heard(who, row, parameter, turns, until);
            byWay = IntStream.range(0, row.ways().size())
                    .mapToObj(way -> new WatchedUnder(heard.rise(way).orElse(null), null))
                    .toList();
        } else {
            List<Reading> read = water.read(who, row.tankId(), parameter, row.beganOn(), until);
            byWay = Held.byWay(row.design(), read).stream()
                    .map(held -> new WatchedUnder(null, held.orElse(null)))
                    .toList();
        }
        return new WatchedParameter(parameter.label(), parameter.unit(), byWay);
    }

    /** How a design would have been told over the weeks that went by. */
    Optional<Tried> past(SignedIn who, Placed placed, Parameter parameter, Design past, LocalDate today) {
        return water.compare(
                who,
                placed.filter().tankId(),
                parameter,
                new Turns(past.phases(), past.settles(placed.settles()), List.of()),
                today.plusDays(1));
    }

    private List<LocalDate> services(SignedIn who, TrialRow row, LocalDate until) {
        return history.list(who.siteId(), row.tankId(), row.beganOn()).stream()
                .filter(service -> service.done().containsKey(row.taskId()))
                .map(PastService::doneOn)
                .filter(day -> day.isBefore(until))
                .distinct()
                .toList();
    }
}
