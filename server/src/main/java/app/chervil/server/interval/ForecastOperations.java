package app.chervil.server.interval;

import app.chervil.core.interval.Forecast;
import app.chervil.core.site.Opening;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When each task is next due, in words. */
@Service
public class ForecastOperations {
    private final SiteBooks books;

    ForecastOperations(SiteBooks books) {
        this.books = books;
    }

    /**
     * Forecasts of all tasks that are not switched off.
     *
     * @param tank null for all tanks of the site; none for a tank that is not there
     */
    @Transactional(readOnly = true)
    public List<ForecastView> list(SignedIn who, @Nullable Long tank) {
        SiteBook site = books.site(who);
        return site.tanks().stream()
                .filter(one -> tank == null || one.tank().id() == tank)
                .flatMap(one -> one.forecasts().stream().map(task -> view(one, task, site.today())))
                .toList();
    }

    /** How large the next opening of each canister of a tank is to be; none for a tank that is not there. */
    @Transactional(readOnly = true)
    public List<OpeningView> openings(SignedIn who, long tank) {
        SiteBook site = books.site(who);
        return site.tank(tank).map(book -> Opening.ofTank(book, site.today())).orElse(List.of()).stream()
                .map(one -> new OpeningView(one.task(), one.size(), one.along(), one.why()))
                .toList();
    }

    static ForecastView view(TankBook tank, TaskForecast task, LocalDate today) {
        Forecast forecast = task.forecast();
        Optional<Hold> hold = tank.holding(task);
        return new ForecastView(
                new ForecastView.Subject(
                        task.filter().tankId(),
                        task.filter().id(),
                        task.task().stageId().orElse(null),
                        task.task().id(),
                        task.task().name()),
                forecast.window().standingOn(today),
                forecast.window(),
                forecast.since(),
                forecast.toldDays().isPresent() ? forecast.toldDays().getAsLong() : null,
                forecast.basis(),
                forecast.loading().orElse(null),
                forecast.reasons(),
                signs(task),
                hold.orElse(null));
    }

    private static List<ForecastView.SignView> signs(TaskForecast task) {
        return task.filter()
                .stageOf(task.task())
                .map(stage -> task.signs().stream()
                        .map(sign -> new ForecastView.SignView(sign, sign.wordsFor(stage.kind()), sign.unit()))
                        .toList())
                .orElse(List.of());
    }
}
