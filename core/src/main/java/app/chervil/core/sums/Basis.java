package app.chervil.core.sums;

/** Where the value of a field comes from if nobody says another. */
public enum Basis {
    /** The keeper measures or chooses it. */
    KEEPER,
    /** A rule of thumb among keepers, or our judgement; a site may keep its own. */
    RULE,
    /** Physics. */
    PHYSICS,
    /** The label of a product. */
    LABEL
}
