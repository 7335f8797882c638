package app.chervil.core.plan;

/** What is unwelcome by how much, in tenths of a minute unless named otherwise; see docs/sources.md#planning. */
final class Weights {
    static final int POINTS_A_MINUTE = 10;

    /** Points for being a whole interval early, before the factors below. */
    private static final int TIMING = 200;

    private static final int EARLY = 1;
    private static final int TOO_EARLY = 3;
    private static final int LATE = 3;
    private static final int TOO_LATE = 10;
    private static final int FAR_TOO_LATE = 30;

    /** Points for each minute over half of a day's capacity, and over four fifths of it. */
    static final int OVER_HALF = 2;

    static final int OVER_FOUR_FIFTHS = 8;

    static final int MOVED = 40;
    static final int MOVED_A_DAY = 5;
    static final int SOON_DAYS = 7;
    static final int SOON_FACTOR = 3;

    /** Hard: each minute over what people have; on a day without any, more. */
    static final int MINUTE_OVER = 1;

    static final int MINUTE_ON_FREE_DAY = 3;

    /** Hard: each day that disturbing work stands too close, and work without that which belongs to it. */
    static final int DAY_TOO_CLOSE = 10;

    static final int NOT_TOGETHER = 100;

    /** Days by which disturbing work on one tank stands apart. */
    static final int APART_DAYS = 7;

    private Weights() {}

    /**
     * Points for doing work on a day of its span: convex, in straight pieces.
     *
     * @param interval days that the work usually stands apart, 1 or more
     */
    static int timing(Span span, int interval, int day) {
        int early = Math.max(0, span.ideal() - day);
        int tooEarly = Math.max(0, span.earliest() - day);
        int late = Math.max(0, day - span.ideal());
        int tooLate = Math.max(0, day - span.latest());
        int farTooLate = Math.max(0, tooLate - Math.max(1, span.latest() - span.ideal()));
        int slopes = EARLY * early
                + (TOO_EARLY - EARLY) * tooEarly
                + LATE * late
                + (TOO_LATE - LATE) * tooLate
                + (FAR_TOO_LATE - TOO_LATE) * farTooLate;
        return (TIMING * slopes + interval / 2) / interval;
    }

    /** Points for a day filled to so many minutes out of so many. */
    static int level(int minutes, int capacity) {
        // Doubled and fivefold so that half and four fifths stay whole.
        int overHalf = Math.max(0, 2 * minutes - capacity);
        int overMore = Math.max(0, 5 * minutes - 4 * capacity);
        return (OVER_HALF * overHalf * 5 + (OVER_FOUR_FIFTHS - OVER_HALF) * overMore * 2) / 10;
    }

    /** Hard points for minutes beyond what people have. */
    static int over(int minutes, int capacity) {
        return Math.max(0, minutes - capacity) * (capacity == 0 ? MINUTE_ON_FREE_DAY : MINUTE_OVER);
    }

    /** Points for doing work on another day than people were told. */
    static int moved(int published, int day) {
        if (published == day) {
            return 0;
        }
        int points = MOVED + MOVED_A_DAY * Math.abs(day - published);
        return published < SOON_DAYS ? SOON_FACTOR * points : points;
    }
}
