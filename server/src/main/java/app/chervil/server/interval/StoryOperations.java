package app.chervil.server.interval;

import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.interval.Story;
import app.chervil.core.tank.ContextChange;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.StageView;
import app.chervil.server.interval.StoryView.ChapterView;
import app.chervil.server.interval.StoryView.Event;
import app.chervil.server.problem.NotFound;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tells how a task's interval came to be. */
@Service
public class StoryOperations {
    private final ForecastOperations forecasts;
    private final TankOperations tanks;

    StoryOperations(ForecastOperations forecasts, TankOperations tanks) {
        this.forecasts = forecasts;
        this.tanks = tanks;
    }

    /**
     * The story of a task in use.
     *
     * @throws NotFound if there is no such task in use
     */
    @Transactional(readOnly = true)
    public StoryView story(SignedIn who, long tank, long task) {
        ForecastView forecast = forecasts.list(who, tank).stream()
                .filter(one -> one.subject().taskId() == task)
                .findFirst()
                .orElseThrow(() -> new NotFound("task"));
        CareBook book = forecasts.books(who, tank, service -> true).stream()
                .filter(one -> one.filter().id() == forecast.subject().filterId())
                .findFirst()
                .orElseThrow(() -> new NotFound("task"));
        FilterView filter = book.filter();
        Optional<StageView> stage = stage(filter, task);
        return new StoryView(
                forecast,
                filter.name(),
                stage.map(StageView::name).orElse(null),
                forecast.basis() == app.chervil.core.interval.Forecast.Basis.FIXED,
                chapters(book.story(task, tanks.today()), stage.map(StageView::kind)));
    }

    private static Optional<StageView> stage(FilterView filter, long task) {
        return filter.tasks().stream()
                .filter(one -> one.id() == task)
                .flatMap(one -> Stream.ofNullable(one.stageId()))
                .findFirst()
                .flatMap(id -> filter.stages().stream()
                        .filter(stage -> Objects.equals(stage.id(), id))
                        .findFirst());
    }

    private static List<ChapterView> chapters(List<Story.Chapter> story, Optional<StageKind> kind) {
        List<ChapterView> told = new ArrayList<>();
        LocalDate since = LocalDate.EPOCH;
        Story.Chapter before = null;
        for (Story.Chapter chapter : story) {
            boolean served = chapter.service().isPresent();
            LocalDate from = served || before == null ? chapter.on() : since;
            told.add(chapter(chapter, from, served ? before : null, since, kind));
            since = from;
            before = chapter;
        }
        return told;
    }

    /** One chapter; the one before is given for a service, whose run and plan it holds. */
    private static ChapterView chapter(
            Story.Chapter chapter,
            LocalDate since,
            Story.@Nullable Chapter before,
            LocalDate servedBefore,
            Optional<StageKind> kind) {
        Event event = chapter.change().isPresent()
                ? Event.CHANGE
                : chapter.service().isPresent() ? Event.SERVICE : Event.START;
        Optional<Finding> finding = chapter.service().flatMap(service -> service.finding());
        return new ChapterView(
                chapter.on(),
                event,
                title(chapter),
                finding.orElse(null),
                finding.flatMap(one -> kind.map(of -> GradeWords.of(of).get(one.grade())))
                        .orElse(null),
                chapter.service()
                        .filter(service -> service.flowShare().isPresent())
                        .map(service -> 100 * service.flowShare().getAsDouble())
                        .orElse(null),
                before == null ? null : ChronoUnit.DAYS.between(servedBefore, chapter.on()),
                before == null
                        ? null
                        : ChronoUnit.DAYS.between(servedBefore, before.next().ideal()),
                since,
                ChronoUnit.DAYS.between(since, chapter.next().ideal()),
                ChronoUnit.DAYS.between(since, chapter.next().earliest()),
                ChronoUnit.DAYS.between(since, chapter.next().latest()),
                chapter.next(),
                chapter.overload(),
                chapter.reasons());
    }

    private static String title(Story.Chapter chapter) {
        return chapter.change()
                .map(ContextChange::words)
                .or(() -> chapter.service().map(service -> service.finding()
                        .map(finding -> "Found " + finding.words())
                        .orElse("Done, nobody looked")))
                .orElse("Start");
    }
}
