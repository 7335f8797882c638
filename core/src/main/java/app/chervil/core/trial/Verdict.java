package app.chervil.core.trial;

import app.chervil.core.water.Production;
import java.util.Optional;

/** What a trial says so far of two ways, where less rise of a parameter is better. */
public enum Verdict {
    /** Too few readings, or all of them from one way. */
    TOO_FEW,
    /** The difference may as well be chance. */
    NOT_TOLD_APART,
    /** The parameter rises less the first way. */
    FIRST_RISES_LESS,
    /** The parameter rises less the other way. */
    OTHER_RISES_LESS;

    /** Judges by the band of the difference, in which the truth lies in four of five cases. */
    public static Verdict of(Optional<Production.Compared> compared) {
        return compared.map(both -> of(both.difference())).orElse(TOO_FEW);
    }

    private static Verdict of(Production difference) {
        if (difference.low() > 0) {
            return FIRST_RISES_LESS;
        }
        return difference.high() < 0 ? OTHER_RISES_LESS : NOT_TOLD_APART;
    }
}
