package app.chervil.core.sums;

import java.util.List;

/** Kinds of bio media: how much carries 100 L normally stocked, and what a litre of it weighs as poured (keepers' rules). */
public enum BioMedium {
    POROUS(1, .6),
    PUMICE(1.5, .55),
    RING(2, .65),
    BEAD(2.5, .85),
    LAVA(3, .8),
    PLASTIC(.6, .15),
    FOAM(.12, .03);

    private final double per100;
    private final double poured;

    BioMedium(double per100, double poured) {
        this.per100 = per100;
        this.poured = poured;
    }

    /** Kilograms to 100 L of water. */
    RuleBook.Entry per100() {
        return new RuleBook.Entry(key("per100"), Measure.KILOGRAMS_PER_100_LITRES, per100, .05, 20);
    }

    /** Kilograms to a litre as poured. */
    RuleBook.Entry poured() {
        return new RuleBook.Entry(key("density"), Measure.KILOGRAMS_PER_LITRE, poured, .02, 2.5);
    }

    List<RuleBook.Entry> rules() {
        return List.of(per100(), poured());
    }

    private String key(String column) {
        return "media." + name() + "." + column;
    }
}
