package app.chervil.core.compare;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.interval.Story;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.SiteBook;
import app.chervil.core.tank.DirtLevel;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A site's log as runs that can be compared: of each filter that a pre-filter can stand before, those of its opening, or else of
 * its most looked at stage.
 */
public final class SiteRuns {
    private static final Set<FilterKind> COMPARED =
            EnumSet.of(FilterKind.CANISTER, FilterKind.HANG_ON_BACK, FilterKind.INTERNAL);

    private static final int SHORTEST_DAYS = 3;
    private static final double MONTH_DAYS = 30;

    private SiteRuns() {}

    /** All runs of a site, filter by filter. */
    public static List<SeenRun> of(SiteBook site) {
        return site.filters().stream().flatMap(book -> of(book).stream()).toList();
    }

    /** Runs of one filter, oldest first. */
    public static List<SeenRun> of(CareBook book) {
        if (!COMPARED.contains(book.filter().kind())) {
            return List.of();
        }
        return judged(book).map(task -> runs(book, task)).orElse(List.of());
    }

    private static Optional<FilterTask> judged(CareBook book) {
        List<FilterTask> behind = book.filter().inUse().stream()
                .filter(task -> book.behindPrefilter(task.id()))
                .toList();
        return behind.stream()
                .filter(task -> task.rule().action() == CareAction.OPEN)
                .findFirst()
                .or(() -> behind.stream().max(Comparator.comparing(task -> looks(book, task))));
    }

    private static long looks(CareBook book, FilterTask task) {
        return book.story(task.id()).stream()
                .flatMap(chapter -> chapter.service().stream())
                .filter(service -> service.finding().isPresent())
                .count();
    }

    private static List<SeenRun> runs(CareBook book, FilterTask task) {
        List<SeenRun> runs = new ArrayList<>();
        Optional<LocalDate> since = Optional.empty();
        for (Story.Chapter chapter : book.story(task.id())) {
            if (chapter.change().isPresent()) {
                continue;
            }
            Optional<Finding> found = chapter.service().flatMap(Serviced::finding);
            LocalDate from = since.orElse(chapter.on());
            long days = ChronoUnit.DAYS.between(from, chapter.on());
            if (found.isPresent() && since.isPresent() && days >= SHORTEST_DAYS) {
                runs.add(new SeenRun(
                        book.filter().id(),
                        (double) days,
                        task.rule().startDays(),
                        found.get(),
                        levels(book, from, days)));
            }
            since = Optional.of(chapter.on());
        }
        return runs;
    }

    /** What was so half way through. */
    private static Map<Factor, Double> levels(CareBook book, LocalDate from, long days) {
        StartingLoad load = book.loadOn(from.plusDays(days / 2));
        Map<Factor, Double> levels = new EnumMap<>(Factor.class);
        levels.put(Factor.PREFILTER, load.behindPrefilter() ? 1.0 : 0.0);
        levels.put(Factor.RINSE, load.behindPrefilter() ? rinses(book, from, days) * MONTH_DAYS / days : 0.0);
        levels.put(Factor.BESIDE, load.sharedWithFilter() ? 1.0 : 0.0);
        levels.put(Factor.STOCKING, step(load.stocking()));
        levels.put(Factor.FEEDING, step(load.feeding()));
        return levels;
    }

    private static double step(DirtLevel level) {
        return level.ordinal();
    }

    private static long rinses(CareBook book, LocalDate from, long days) {
        LocalDate until = from.plusDays(days);
        return book.filter().inUse().stream()
                .filter(task -> ofPrefilter(book, task))
                .flatMap(task -> book.services().stream()
                        .filter(service -> service.done().containsKey(task.id())))
                .filter(service ->
                        service.doneOn().isAfter(from) && service.doneOn().isBefore(until))
                .count();
    }

    private static boolean ofPrefilter(CareBook book, FilterTask task) {
        return book.filter().stages().stream()
                .anyMatch(stage -> stage.kind() == StageKind.PREFILTER_SPONGE
                        && task.stageId().equals(Optional.of(stage.id())));
    }
}
