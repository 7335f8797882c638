package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import java.time.LocalDate;

/**
 * A look at a part between services.
 *
 * @param amount coloured share 0 to 100 %, metres left or hours counted not below zero; 0 for signs without an amount
 */
public record Look(LocalDate on, Sign sign, double amount) {
    /** What a counter of a lamp's hours can read. */
    public static final double MOST_HOURS = 200_000;

    public Look {
        switch (sign.unit()) {
            case PERCENT -> Check.within("amount", amount, 0, 100);
            case METRES -> Check.within("amount", amount, 0, 1000);
            case HOURS -> Check.within("amount", amount, 0, MOST_HOURS);
            case NONE -> Check.within("amount", amount, 0, 0);
        }
    }
}
