package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import java.util.Optional;

/**
 * How often in a row a stage was full so soon that it is too small for its tank.
 *
 * @param inARow clogged within 1.25 × its floor, or a third of its start
 */
record FullRuns(int inARow) {
    static final FullRuns NONE = new FullRuns(0);
    private static final int TOO_SMALL = 2;
    static final double FLOOR_SHARE = 1.25;
    static final double START_SHARE = 1.0 / 3;

    /** Whether the floor gives way. */
    boolean small() {
        return inARow >= TOO_SMALL;
    }

    FullRuns after(Optional<Finding> finding, double days, CareRule rule, boolean startKnown) {
        boolean soon = days <= Math.max(FLOOR_SHARE * rule.bounds().leastDays(), rule.startDays() * START_SHARE);
        if (finding.isEmpty()) {
            return this;
        }
        if (finding.get() == Finding.CLOGGED) {
            return soon && startKnown ? new FullRuns(inARow + 1) : this;
        }
        return small() && soon ? this : NONE;
    }
}
