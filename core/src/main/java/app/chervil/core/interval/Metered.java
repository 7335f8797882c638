package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import java.time.LocalDate;

/**
 * What a flow meter says of a stage while it runs: the share of the clean flow that this stage's dirt alone leaves.
 *
 * @param on day it was read; of the present run
 * @param share above zero; about 1 while the stage is clean
 */
public record Metered(LocalDate on, double share) {
    public Metered {
        Check.positive("share", share);
    }
}
