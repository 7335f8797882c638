package app.chervil.server.chore;

import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.book.ChoreLog;
import app.chervil.server.chore.ChoreMapper.ChoreDays;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The chore tables as the site's picture reads them: one statement, however many tanks. */
@Component
class StoredChores implements ChoreLog {
    private final ChoreMapper mapper;

    StoredChores(ChoreMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Map<Long, Chores> chores(long site, @Nullable Long tank, Map<Long, LocalDate> waterChanged) {
        return mapper.listDays(site, tank).stream()
                .collect(Collectors.groupingBy(
                        ChoreDays::tankId,
                        Collectors.collectingAndThen(Collectors.toList(), rows -> chores(rows, waterChanged))));
    }

    private static Chores chores(List<ChoreDays> rows, Map<Long, LocalDate> waterChanged) {
        return new Chores(
                rows.stream()
                        .flatMap(row -> row.planned(done(row, waterChanged)).stream())
                        .toList(),
                rows.stream()
                        .flatMap(row -> aside(row, done(row, waterChanged)))
                        .toList());
    }

    /** Days on which a chore was done, latest first; water changes come from the water's own log. */
    private static List<LocalDate> done(ChoreDays row, Map<Long, LocalDate> waterChanged) {
        return row.kind() == TankChore.WATER_CHANGE
                ? Stream.ofNullable(waterChanged.get(row.tankId())).toList()
                : row.done();
    }

    private static Stream<Earlier> aside(ChoreDays row, List<LocalDate> done) {
        return Hold.concerns(row.kind().disturbance())
                ? done.stream().map(day -> new Earlier(day, row.kind().words()))
                : Stream.empty();
    }
}
