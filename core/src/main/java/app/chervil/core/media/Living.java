package app.chervil.core.media;

import app.chervil.core.calc.Check;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Medication;
import java.time.LocalDate;
import java.util.List;

/**
 * How bacteria live in a tank, as far as its media's record asks.
 *
 * @param celsius of its water, 1 to 40
 * @param establishedOn before that there was nothing to settle
 * @param treatments of the whole tank
 * @param quarantine whether what was in it may go nowhere else
 */
public record Living(
        String name,
        WaterKind water,
        Stocking stocking,
        double celsius,
        LocalDate establishedOn,
        List<Medication> treatments,
        boolean quarantine) {
    public Living {
        Check.within("celsius", celsius, 1, 40);
        treatments = List.copyOf(treatments);
    }

    boolean salty() {
        return water == WaterKind.MARINE;
    }
}
