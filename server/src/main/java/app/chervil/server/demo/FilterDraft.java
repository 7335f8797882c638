package app.chervil.server.demo;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A filter to be. */
final class FilterDraft {
    private final String name;
    private final FilterKind kind;
    private @Nullable FlowDirection direction;
    private Rating rating = new Rating(null, null, null, null);

    FilterDraft(String name, FilterKind kind) {
        this.name = name;
        this.kind = kind;
    }

    FilterDraft flowing(FlowDirection way) {
        direction = way;
        return this;
    }

    /** What its plate says, and what it lifts here. */
    FilterDraft rated(double litresAnHour, double watts, double mostHeadM, double headM) {
        rating = new Rating(litresAnHour, watts, mostHeadM, headM);
        return this;
    }

    FilterDraft drawing(double watts) {
        rating = new Rating(null, watts, null, null);
        return this;
    }

    /**
     * Fitted on a day.
     *
     * @param cleanedOn when its history begins
     * @param stages through which the water flows, in its order
     */
    FilterInput fitted(LocalDate on, LocalDate cleanedOn, StageInput... stages) {
        return new FilterInput(name, kind, direction, rating, on, cleanedOn, List.of(stages));
    }
}
