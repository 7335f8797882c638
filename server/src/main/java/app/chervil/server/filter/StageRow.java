package app.chervil.server.filter;

import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.site.FilterStage;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A stage as stored; removed ones are left out. */
record StageRow(
        long id,
        long filterId,
        int position,
        StageKind kind,
        String label,
        int quantity,
        @Nullable Double massG,
        Stage.Make make,
        boolean bagged,
        @Nullable LocalDate fittedOn,
        LocalDate careFrom,
        String size,
        @Nullable Double ratedHours,
        @Nullable Double litHoursADay,
        @Nullable Integer startsADay,
        @Nullable Double rollM,
        @Nullable Integer rinses) {
    FilterStage stage() {
        return new FilterStage(
                id,
                new Stage(kind, make),
                label,
                quantity,
                Given.number(massG),
                bagged,
                Optional.ofNullable(fittedOn),
                size,
                new Endurance(
                        Given.number(ratedHours),
                        Given.number(litHoursADay),
                        Given.count(startsADay),
                        Given.number(rollM),
                        Given.count(rinses)));
    }
}
