package app.chervil.core.trouble;

/** What to do next. */
public sealed interface Next {
    /** Ask about a danger. */
    record AskDanger(Peril peril) implements Next {}

    /** Ask, look or try. */
    record Ask(Question question) implements Next {}

    /** Repair, or ask others. */
    record Mend(Repair repair, Because because) implements Next {}

    /** Stop at once: a danger is there. */
    record Stop(Peril peril) implements Next {}

    /** It is mended. */
    record Solved(Repair repair) implements Next {}

    /** Why a repair is next. */
    enum Because {
        /** An answer is a danger in itself. */
        ALARM,
        /** Its cause is clear. */
        NAMED,
        /** Quicker to try than to ask. */
        QUICKER,
        /** Nothing of ours is left, or asking others is cheaper. */
        NOTHING_LEFT
    }
}
