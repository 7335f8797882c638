package app.chervil.server.interval;

import app.chervil.server.book.CareLog;
import app.chervil.server.interval.CareMapper.Gathered;
import app.chervil.server.interval.PauseMapper.PauseRow;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Looks, pauses and eyes as the site's picture reads them: one statement, however many there are. */
@Component
class StoredCare implements CareLog {
    private final CareMapper mapper;

    StoredCare(CareMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Care care(long site, @Nullable Long tank) {
        Gathered rows = mapper.find(site, tank);
        return new Care(
                stream(rows.looks())
                        .collect(Collectors.groupingBy(
                                LookRow::stageId, Collectors.mapping(LookRow::look, Collectors.toList()))),
                stream(rows.pauses())
                        .collect(Collectors.groupingBy(
                                PauseRow::tankId, Collectors.mapping(PauseRow::pause, Collectors.toList()))),
                EyeOperations.eyes(stream(rows.pictures()).toList()));
    }

    private static <T> Stream<T> stream(@Nullable List<T> rows) {
        return Stream.ofNullable(rows).flatMap(List::stream);
    }
}
