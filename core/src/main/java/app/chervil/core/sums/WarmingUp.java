package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;

/**
 * How long water takes to warm or cool, by Newton: UA = 6 u (litres ÷ 1000)^⅔, equilibrium = room + W ÷ UA, hours = 4186 ·
 * litres ÷ UA ÷ 3600 · ln((from − equilibrium) ÷ (to − equilibrium)) (docs/sources.md#sum-heat).
 */
final class WarmingUp extends Sum {
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field FROM = Field.of("fromC", Measure.CELSIUS);
    private static final Field TO = Field.of("toC", Measure.CELSIUS);
    private static final Field WATTS = Field.of("watts", Measure.WATTS).otherwise(0);
    private static final Field ROOM =
            Field.of("roomC", Measure.CELSIUS).from(-10, 45).rule(21);
    private static final Field U = Field.of("u", Measure.NUMBER).from(2, 30).rule(8);

    private static final double JOULES_A_LITRE_KELVIN = 4186;
    private static final double LONG_HOURS = 24;

    WarmingUp() {
        super("heat", Result.class, LITRES, FROM, TO, WATTS, ROOM, U);
    }

    /**
     * How long.
     *
     * @param equilibriumC where it would end if left
     */
    record Result(
            @Says(Measure.CELSIUS) double equilibriumC,
            @Says(Measure.HOURS) double hours) {}

    @Override
    Outcome solve(Given given) {
        double from = given.number(FROM);
        double to = given.number(TO);
        double wattsAKelvin = 6 * given.number(U) * Math.pow(given.number(LITRES) / 1000, 2.0 / 3);
        double equilibrium = given.number(ROOM) + given.number(WATTS) / wattsAKelvin;
        double ratio = (from - equilibrium) / (to - equilibrium);
        if (from != to && !(ratio >= 1 && Double.isFinite(ratio))) {
            return Refused.impossible(to > from ? WATTS : ROOM);
        }
        double seconds = from == to ? 0 : JOULES_A_LITRE_KELVIN * given.number(LITRES) / wattsAKelvin * Math.log(ratio);
        double hours = seconds / 3600;
        return Solved.of(
                new Result(equilibrium, hours), new Watchful().when(Slack.above(hours, LONG_HOURS), Warning.LONG));
    }
}
