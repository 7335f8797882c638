package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Count;

/** Whether a task's interval is learned, fixed by someone, or not wanted at all. */
public sealed interface TaskSetting {
    /** Longest interval a keeper may fix, in days: five years. */
    int MOST_FIXED_DAYS = 1825;

    /** Left to learn. */
    record Learned() implements TaskSetting {}

    /**
     * Every so many days, whatever is found.
     *
     * @param days 1 to {@link #MOST_FIXED_DAYS}
     * @param by who set it
     */
    record Fixed(int days, By by) implements TaskSetting {
        /** How it came by its interval, in words. */
        String reason() {
            return by == By.TRIED_WITHOUT
                    ? "A trial runs without it just now, so nothing is due."
                    : by.words() + ": every " + Count.days(days) + ".";
        }

        public Fixed {
            Check.within("days", days, 1, MOST_FIXED_DAYS);
        }
    }

    /** Who fixed an interval. */
    enum By {
        KEEPER("Fixed by you"),
        MAKERS_CALENDAR("Maker's calendar"),
        TRIAL("Being tried"),
        ADOPTED("Chosen after a trial"),
        /** Not at all for now. */
        TRIED_WITHOUT("Being tried without it");

        private final String words;

        By(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }
}
