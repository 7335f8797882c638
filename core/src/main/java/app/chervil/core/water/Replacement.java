package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.time.LocalDate;

/**
 * Bio media exchanged for new.
 *
 * @param grams of media, above zero
 */
public record Replacement(LocalDate on, double grams) {
    public Replacement {
        Check.positive("grams", grams);
    }
}
