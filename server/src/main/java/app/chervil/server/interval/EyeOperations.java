package app.chervil.server.interval;

import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.site.TaskForecast;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.interval.EyeMapper.PictureRow;
import app.chervil.server.interval.EyeView.EyeInput;
import app.chervil.server.interval.EyeView.EyeMoved;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Twelve drawn cases that each person grades once a year, so that a harsh or lenient eye misleads nobody. */
@Service
public class EyeOperations {
    private static final int SERVICES_BEFORE = 3;
    private static final int MOST_TOLD = 5;
    private static final double FAIR = 0.12;

    private final EyeMapper mapper;
    private final SiteBooks books;
    private final TankOperations tanks;
    private final Clock clock;

    EyeOperations(EyeMapper mapper, SiteBooks books, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.books = books;
        this.tanks = tanks;
        this.clock = clock;
    }

    static Map<Long, CalibratedEye> eyes(List<PictureRow> rows) {
        return rows.stream()
                .collect(Collectors.groupingBy(
                        PictureRow::accountId, Collectors.collectingAndThen(Collectors.toList(), EyeOperations::eye)));
    }

    private static CalibratedEye eye(List<PictureRow> graded) {
        return CalibratedEye.of(graded.stream()
                .map(row -> new CalibratedEye.Graded(CalibratedEye.PICTURES.get(row.picture()), row.finding()))
                .toList());
    }

    /** How the person who asks grades. */
    @Transactional(readOnly = true)
    public EyeView find(SignedIn who) {
        return view(who, List.of());
    }

    /** Keeps a person's grades and tells which dates they moved. */
    @Transactional
    public EyeView save(SignedIn who, EyeInput input) {
        Map<Long, TaskForecast> before = books.site(who).forecastsByTask();
        for (int picture = 0; picture < input.grades().size(); picture++) {
            mapper.save(who.siteId(), who.accountId(), picture, input.grades().get(picture), clock.instant());
        }
        List<EyeMoved> moved = books.site(who).forecasts().stream()
                .flatMap(now -> moved(Optional.ofNullable(before.get(now.task().id())), now).stream())
                .sorted(Comparator.comparingLong(EyeOperations::days).reversed())
                .limit(MOST_TOLD)
                .toList();
        return view(who, moved);
    }

    private static Optional<EyeMoved> moved(Optional<TaskForecast> before, TaskForecast now) {
        LocalDate ideal = now.forecast().window().ideal();
        return before.map(was -> was.forecast().window().ideal())
                .filter(was -> !was.equals(ideal))
                .map(was -> new EyeMoved(now.task().name(), was, ideal));
    }

    private static long days(EyeMoved moved) {
        return Math.abs(ChronoUnit.DAYS.between(moved.before(), moved.after()));
    }

    private EyeView view(SignedIn who, List<EyeMoved> moved) {
        List<PictureRow> own = mapper.list(who.siteId()).stream()
                .filter(row -> row.accountId() == who.accountId())
                .toList();
        if (own.isEmpty()) {
            boolean offered = mapper.findGradedServices(who.siteId(), who.accountId()) >= SERVICES_BEFORE;
            return new EyeView(CalibratedEye.PICTURES, offered, null, null, null, moved);
        }
        LocalDate graded = own.stream()
                .map(row -> LocalDate.ofInstant(row.gradedAt(), clock.getZone()))
                .min(Comparator.naturalOrder())
                .orElseThrow();
        CalibratedEye eye = Objects.requireNonNull(eyes(own).get(who.accountId()));
        boolean aYearAgo = !graded.plusYears(1).isAfter(tanks.today());
        return new EyeView(CalibratedEye.PICTURES, aYearAgo, graded, eye.bias(), verdict(eye), moved);
    }

    private static String verdict(CalibratedEye eye) {
        long percent = Math.round(100 * Math.abs(Math.expm1(eye.bias())));
        if (Math.abs(eye.bias()) < FAIR) {
            return "You grade about as the pictures are. Nothing needs correcting.";
        }
        return String.format(
                Locale.ENGLISH,
                eye.bias() > 0
                        ? "You see about %d %% more dirt than there is. Your grades are now read that way."
                        : "You see about %d %% less dirt than there is. Your grades are now read that way.",
                percent);
    }
}
