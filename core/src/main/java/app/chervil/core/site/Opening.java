package app.chervil.core.site;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import app.chervil.core.visit.Errand;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * How large the next opening of a canister is to be, and what goes along with it. A minor one takes out foam and media; a major
 * one sees to head, seals and hoses as well, every third time, or as soon as one of these would fall due before the next
 * (docs/sources.md#openings).
 *
 * @param task the opening itself
 * @param along tasks to do with it that are not due yet, in the order of the filter's tasks
 * @param why in words
 */
public record Opening(long task, Size size, List<Long> along, String why) {
    /** Every third is a major one; keepers' custom is every second or third. */
    private static final int MINOR_BETWEEN = 2;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final Set<StageKind> OF_MAJOR = EnumSet.of(StageKind.IMPELLER, StageKind.SEALS, StageKind.HOSES);
    private static final Set<CareAction> SEEN_TO = EnumSet.of(CareAction.CLEAN, CareAction.BRUSH, CareAction.INSPECT);

    public Opening {
        along = List.copyOf(along);
    }

    /** How much is seen to. */
    public enum Size {
        MINOR,
        MAJOR
    }

    /** The next opening of a filter; empty where it is not opened, or has neither head, seals nor hoses that are cared for. */
    private static Optional<Opening> of(CareBook book, LocalDate today) {
        List<TaskForecast> head =
                book.forecasts().stream().filter(Opening::isOfMajor).toList();
        return book.opening().filter(one -> !head.isEmpty()).map(one -> new Next(book, one, head, today).told());
    }

    private static boolean isOfMajor(TaskForecast one) {
        return one.filter()
                        .stageOf(one.task())
                        .filter(stage -> OF_MAJOR.contains(stage.kind()))
                        .isPresent()
                && SEEN_TO.contains(one.task().action());
    }

    /** What the size of one opening rests on. */
    private record Next(CareBook book, TaskForecast opening, List<TaskForecast> head, LocalDate today) {
        Opening told() {
            Optional<TaskForecast> pressing = pressing();
            List<LocalDate> since = sinceMajor();
            boolean major = since.size() >= MINOR_BETWEEN || pressing.isPresent();
            List<Long> along = new ArrayList<>();
            for (TaskForecast one : book.forecasts()) {
                boolean ofHead = major && head.contains(one);
                if (ofHead || isSpentByHalf(one)) {
                    along.add(one.task().id());
                }
            }
            return new Opening(
                    opening.task().id(),
                    major ? Size.MAJOR : Size.MINOR,
                    along,
                    major ? whyMajor(since, pressing) : whyMinor(since.size()));
        }

        /** Days of openings after the last on which head, seals or hoses were seen to, oldest first. */
        private List<LocalDate> sinceMajor() {
            NavigableMap<LocalDate, Set<Long>> byDay = new TreeMap<>();
            for (PastService service : book.services()) {
                if (!service.doneOn().isAfter(today)) {
                    byDay.computeIfAbsent(service.doneOn(), day -> new HashSet<>())
                            .addAll(service.done().keySet());
                }
            }
            List<LocalDate> since = new ArrayList<>();
            byDay.forEach((day, done) -> {
                boolean opened = done.contains(opening.task().id());
                if (head.stream().anyMatch(one -> isSeenTo(one, done, opened))) {
                    since.clear();
                } else if (opened) {
                    since.add(day);
                }
            });
            return since;
        }

        /** Hoses can be brushed with the canister shut; what lies in it is reached by opening, whether that was logged or not. */
        private static boolean isSeenTo(TaskForecast one, Set<Long> done, boolean opened) {
            return done.contains(one.task().id()) && (opened || one.reach() == Errand.Reach.INSIDE);
        }

        /** What of the head would fall due before the opening after this one. */
        private Optional<TaskForecast> pressing() {
            long interval = opening.intervalDays();
            return head.stream()
                    .filter(one -> ideal(one).isBefore(today.plusDays(interval)))
                    .min(Comparator.comparing(Next::ideal));
        }

        private static LocalDate ideal(TaskForecast one) {
            return one.forecast().window().ideal();
        }

        /** Chemical media past half its interval is changed while the filter is open. */
        private boolean isSpentByHalf(TaskForecast one) {
            boolean chemical = one.filter()
                    .stageOf(one.task())
                    .filter(stage -> stage.kind().isChemical())
                    .isPresent();
            long days = ChronoUnit.DAYS.between(one.forecast().since(), today);
            return chemical && one.task().action() == CareAction.CHANGE && 2 * days >= one.intervalDays();
        }

        private static String whyMajor(List<LocalDate> since, Optional<TaskForecast> pressing) {
            return pressing.map(one -> one.task().name() + " falls due by "
                            + DAY.format(ideal(one))
                            + ", before the next opening: see to head, seals and hoses now.")
                    .orElseGet(() -> "The third opening since "
                            + DAY.format(since.get(since.size() - MINOR_BETWEEN))
                            + ": see to head, seals and hoses as well.");
        }

        private static String whyMinor(int since) {
            return since == 0
                    ? "Foam and media only; head, seals and hoses at the second opening after this."
                    : "Foam and media only; head, seals and hoses at the next opening.";
        }
    }

    /** The next opening of each filter of a tank, as they were fitted. */
    public static List<Opening> ofTank(TankBook tank, LocalDate today) {
        return tank.filters().stream().flatMap(book -> of(book, today).stream()).toList();
    }
}
