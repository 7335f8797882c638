package app.chervil.core.sums;

import java.util.List;

/** Kinds of bio media: how much carries 100 L normally stocked, and what a litre of it weighs as poured (keepers' rules). */
public enum BioMedium {
    POROUS("porous ceramic", 1, .6),
    PUMICE("pumice", 1.5, .55),
    RING("ceramic rings", 2, .65),
    BEAD("beads", 2.5, .85),
    LAVA("lava", 3, .8),
    PLASTIC("plastic shapes", .6, .15),
    FOAM("foam", .12, .03);

    private final String words;
    private final double per100;
    private final double poured;

    BioMedium(String words, double per100, double poured) {
        this.words = words;
        this.per100 = per100;
        this.poured = poured;
    }

    /** What it is called, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** Kilograms that carry 100 L normally stocked, by the rule of thumb. */
    public double kilogramsPer100() {
        return per100;
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
