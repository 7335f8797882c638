package app.chervil.server.filter;

import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import java.time.LocalDate;
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
    FilterInput.Lasting lasting() {
        return new FilterInput.Lasting(ratedHours, litHoursADay, startsADay, rollM, rinses);
    }

    FilterInput.StageInput toInput() {
        return new FilterInput.StageInput(id, kind, label, quantity, massG, make, bagged, fittedOn, size, lasting());
    }
}
