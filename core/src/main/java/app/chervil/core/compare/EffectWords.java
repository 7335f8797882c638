package app.chervil.core.compare;

import app.chervil.core.calc.Count;
import app.chervil.core.calc.Digits;
import app.chervil.core.compare.Effects.Effect;

/** An effect in sentences. */
public final class EffectWords {
    private static final double MONTH_DAYS = 30;

    private EffectWords() {}

    /**
     * What runs say, or that they are too few to say it.
     *
     * @param days of a usual run of this site, above zero
     */
    public static String of(Effect effect, double days) {
        String range = number(effect.low()) + " to " + number(effect.high());
        if (!effect.told()) {
            return "With " + effect.factor().words() + ", filters fill " + number(effect.ratio())
                    + " times as fast by these runs, but anything from " + range
                    + " fits them. More runs are needed to tell it from chance.";
        }
        String speed = "With " + effect.factor().words() + ", filters fill " + number(effect.ratio())
                + " times as fast (four times in five " + range + ").";
        return speed + " " + inDays(effect, days);
    }

    private static String inDays(Effect effect, double days) {
        if (effect.factor() == Factor.RINSE) {
            return "Each rinse " + (effect.ratio() < 1 ? "buys" : "costs") + " about "
                    + days(Math.abs(effect.daysWon(MONTH_DAYS))) + ".";
        }
        return "What takes " + days(days) + " without takes " + days(days + effect.daysWon(days)) + ".";
    }

    private static String days(double days) {
        return Count.days(Math.max(1, Math.round(days)));
    }

    private static String number(double value) {
        return Digits.of(value, 2);
    }
}
