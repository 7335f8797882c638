package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.OptionalLong;

/** How many filter socks to own: those that hang, those waiting for the wash, those drying, and a spare (docs/sources.md#sum-socks). */
final class SocksToOwn extends Sum {
    private static final Field IN_USE = Field.of("inUse", Measure.COUNT);
    private static final Field CHANGE = Field.of("changeDays", Measure.DAYS);
    private static final Field WASH = Field.of("washDays", Measure.DAYS);
    private static final Field DRY =
            Field.of("dryDays", Measure.DAYS).from(0, 14).otherwise(2);
    private static final Field SPARE =
            Field.of("spare", Measure.COUNT).from(0, 20).otherwise(1);
    private static final Field OWN =
            Field.of("own", Measure.COUNT).from(0, 1000).optional();

    SocksToOwn() {
        super("socks", Result.class, IN_USE, CHANGE, WASH, DRY, SPARE, OWN);
    }

    /**
     * The socks.
     *
     * @param washAtLatestDays after which none is left to hang
     */
    record Result(
            @Says(Measure.COUNT) long need,
            @Says(Measure.COUNT) long dirty,
            @Says(Measure.COUNT) long drying,
            @Says(Measure.COUNT) OptionalLong buy,
            @Says(Measure.DAYS) OptionalLong washAtLatestDays) {}

    @Override
    Outcome solve(Given given) {
        int hanging = given.count(IN_USE);
        double used = hanging / given.number(CHANGE);
        long dirty = Slack.up(used * given.number(WASH));
        long drying = Slack.up(used * given.number(DRY));
        long kept = hanging + drying + given.count(SPARE);
        long need = kept + dirty;
        if (!given.has(OWN)) {
            return Solved.of(new Result(need, dirty, drying, OptionalLong.empty(), OptionalLong.empty()));
        }
        int own = given.count(OWN);
        long buy = Math.max(0, need - own);
        long latest = Math.max(0, Slack.down((own - kept) / used));
        return Solved.of(
                new Result(need, dirty, drying, OptionalLong.of(buy), OptionalLong.of(latest)),
                new Watchful().when(buy > 0, Warning.SHORT));
    }
}
