package app.chervil.core.trial;

import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import java.util.Optional;

/** What a trial says so far of its ways, where less rise of a parameter is better. */
public enum Verdict {
    /** Too few readings, or none of some way. */
    TOO_FEW,
    /** All differences may as well be chance. */
    NOT_TOLD_APART,
    /** At least one way lets the parameter rise less than another. */
    TOLD_APART;

    /** Judges by the bands of the differences, which hold all together in four of five cases. */
    public static Verdict of(Optional<Tried> tried) {
        return tried.map(ways -> ways.pairs().stream().anyMatch(Pair::apart) ? TOLD_APART : NOT_TOLD_APART)
                .orElse(TOO_FEW);
    }
}
