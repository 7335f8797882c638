package app.chervil.core.plan;

/** Stretches of days on which nobody has time, longer than a usual week has. */
final class Closures {
    /** A closure has at least so many days. */
    static final int LEAST_DAYS = 4;

    private final boolean[] closed;
    private boolean none = true;

    Closures(Hours hours) {
        int days = hours.days().size();
        closed = new boolean[days];
        int run = 0;
        for (int day = 0; day <= days; day++) {
            if (day < days && hours.days().get(day).all() == 0) {
                run++;
                continue;
            }
            for (int back = 1; run >= LEAST_DAYS && back <= run; back++) {
                closed[day - back] = true;
                none = false;
            }
            run = 0;
        }
    }

    /** The day itself, or the first one after the closure it lies in. */
    int after(int day) {
        int open = day;
        while (open < closed.length && open >= 0 && closed[open]) {
            open++;
        }
        return open;
    }

    /** The day that lies so many open days on, or back if below zero; closed ones do not count. */
    int shifted(int day, int openDays) {
        if (none) {
            return day + openDays;
        }
        int step = openDays < 0 ? -1 : 1;
        int left = Math.abs(openDays);
        int at = day;
        while (left > 0) {
            at += step;
            left -= at >= 0 && at < closed.length && closed[at] ? 0 : 1;
        }
        return at;
    }
}
