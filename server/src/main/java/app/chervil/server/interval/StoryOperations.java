package app.chervil.server.interval;

import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.interval.Story;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.tank.ContextChange;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.interval.StoryView.ChapterView;
import app.chervil.server.interval.StoryView.Event;
import app.chervil.server.problem.NotFound;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tells how a task's interval came to be. */
@Service
public class StoryOperations {
    private final SiteBooks books;

    StoryOperations(SiteBooks books) {
        this.books = books;
    }

    /**
     * The story of a task in use.
     *
     * @throws NotFound if there is no such task in use
     */
    @Transactional(readOnly = true)
    public StoryView story(SignedIn who, long tank, long task) {
        SiteBook site = books.site(who);
        TankBook book = site.tank(tank).orElseThrow(() -> new NotFound("task"));
        return book.filters().stream()
                .flatMap(care -> care.forecasts().stream()
                        .filter(forecast -> forecast.task().id() == task)
                        .map(forecast -> story(care, forecast, ForecastOperations.view(book, forecast, site.today()))))
                .findFirst()
                .orElseThrow(() -> new NotFound("task"));
    }

    private static StoryView story(CareBook care, TaskForecast forecast, ForecastView view) {
        Optional<FilterStage> stage = care.filter().stageOf(forecast.task());
        return new StoryView(
                view,
                care.filter().name(),
                stage.map(FilterStage::name).orElse(null),
                view.basis() == Forecast.Basis.FIXED,
                chapters(care.story(forecast.task().id()), stage.map(FilterStage::kind)));
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
