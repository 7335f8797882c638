package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import app.chervil.core.tank.Stocking;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/**
 * How much bio media a tank needs: litres ÷ 100 · kilograms to 100 L · stocking; what is there carries Σ(kg ÷ k) · 100 ÷
 * stocking litres (docs/sources.md#sum-media).
 */
final class MediaNeed extends Sum {
    private static final Field NET = Field.of("netL", Measure.LITRES);
    private static final Field STOCKING = Field.word("stocking", Stocking.class).otherwise(Stocking.NORMAL.name());
    private static final Field MEDIA = Field.word("media", BioMedium.class);
    private static final Field PER_100 =
            Field.of("per100", Measure.KILOGRAMS_PER_100_LITRES).optional();
    private static final Field PACK =
            Field.of("packKg", Measure.KILOGRAMS).from(.05, 50).optional();
    private static final Field PRICE = Field.of("packPrice", Measure.MONEY).optional();
    private static final Field HAVE = Field.rows("have", 0, 30, MEDIA, Field.of("kg", Measure.KILOGRAMS), PER_100);
    private static final Field KG = HAVE.row().get(1);

    private static final double THIN_BELOW = .5;

    MediaNeed() {
        super("need", Result.class, NET, STOCKING, MEDIA, PER_100, PACK, PRICE, HAVE);
    }

    /**
     * What it needs.
     *
     * @param carriedL litres of such a tank that the media there carries
     * @param coverage of this tank, 1 for all of it
     * @param needL as poured
     * @param buyKg beside what is there
     */
    record Result(
            @Says(Measure.KILOGRAMS) double needKg,
            @Says(Measure.LITRES) double carriedL,
            @Says(Measure.SHARE) double coverage,
            @Says(Measure.LITRES) double needL,
            @Says(Measure.KILOGRAMS) double buyKg,
            @Says(Measure.COUNT) OptionalLong packs,
            @Says(Measure.MONEY) OptionalDouble cost) {}

    @Override
    Outcome solve(Given given) {
        double net = given.number(NET);
        double stocking = given.word(STOCKING, Stocking.class).multiplier();
        double kgALitre = per100(given) / 100 * stocking;
        double carried = given.rows(HAVE).stream()
                        .mapToDouble(one -> one.number(KG) / per100(one))
                        .sum()
                * 100
                / stocking;
        double buy = Math.max(0, net - carried) * kgALitre;
        OptionalLong packs =
                given.has(PACK) ? OptionalLong.of(Slack.up(buy / given.number(PACK))) : OptionalLong.empty();
        OptionalDouble cost = packs.isPresent() && given.has(PRICE)
                ? OptionalDouble.of(packs.getAsLong() * given.number(PRICE))
                : OptionalDouble.empty();
        double poured = given.shared(given.word(MEDIA, BioMedium.class).poured());
        Result result = new Result(net * kgALitre, carried, carried / net, net * kgALitre / poured, buy, packs, cost);
        return Solved.of(result, new Watchful().when(Slack.above(THIN_BELOW, carried / net), Warning.THIN));
    }

    private static double per100(Given given) {
        return given.or(PER_100, given.shared(given.word(MEDIA, BioMedium.class).per100()));
    }
}
