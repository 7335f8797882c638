package app.chervil.core.site;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One stage of a filter's water path.
 *
 * @param label the keeper's own name for it; may be empty
 * @param quantity of its like side by side, 1 or more
 * @param massG of media in grams; empty where nobody weighed it
 * @param fittedOn when it was last new; empty if nobody knows
 * @param size what a spare of it must be; may be empty
 * @param endurance how long it lasts by its label
 */
public record FilterStage(
        long id,
        Stage stage,
        String label,
        int quantity,
        OptionalDouble massG,
        boolean bagged,
        Optional<LocalDate> fittedOn,
        String size,
        Endurance endurance) {
    public FilterStage {
        Check.within("quantity", quantity, 1, 99);
        massG.ifPresent(grams -> Check.positive("massG", grams));
    }

    public StageKind kind() {
        return stage.kind();
    }

    /** What to call it: its label, or its kind. */
    public String name() {
        return label.isBlank() ? kind().words() : label;
    }
}
