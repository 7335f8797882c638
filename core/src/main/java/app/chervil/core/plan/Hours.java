package app.chervil.core.plan;

import app.chervil.core.calc.Check;
import java.util.List;

/**
 * The minutes that people have.
 *
 * @param days one for each day of the plan, in order
 */
public record Hours(List<Day> days) {
    public Hours {
        days = List.copyOf(days);
    }

    /**
     * A day's minutes.
     *
     * @param keeper for work that only a keeper may do, and any other; 0 to 1440
     * @param helpers of all helpers together, 0 or more
     */
    public record Day(int keeper, int helpers) {
        static final int MOST = 14_400;

        public Day {
            Check.within("keeper", keeper, 0, MOST);
            Check.within("helpers", helpers, 0, MOST);
        }

        /** Minutes of everyone. */
        public int all() {
            return keeper + helpers;
        }
    }
}
