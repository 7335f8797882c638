package app.chervil.server;

import app.chervil.core.calc.Unit;
import app.chervil.server.account.SiteUnits;
import java.time.DayOfWeek;

/** What sites read. */
public final class TestUnits {
    private TestUnits() {}

    /** All that is American but the volume. */
    public static SiteUnits american(Unit volume) {
        return new SiteUnits(
                volume,
                Unit.OUNCE,
                Unit.FOOT,
                Unit.US_TEASPOON,
                Unit.FAHRENHEIT,
                Unit.PPM,
                Unit.PPM_CACO3,
                Unit.SPECIFIC_GRAVITY,
                SiteUnits.DateOrder.MONTH_FIRST,
                DayOfWeek.SUNDAY,
                SiteUnits.DecimalSign.POINT,
                "USD");
    }
}
