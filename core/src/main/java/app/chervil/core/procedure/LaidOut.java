package app.chervil.core.procedure;

/**
 * Work before it is put into steps: all that belongs to it, and what hands take out for it.
 *
 * @param situation with the washing of what is lifted
 * @param hands by what was asked for
 */
record LaidOut(Situation situation, Handled hands) {
    static LaidOut of(Situation asked) {
        Situation plain = Procedure.plain(asked);
        Handled hands = Handled.of(plain);
        return new LaidOut(plain.doing(Procedure.withWashingOfLifted(plain, hands)), hands);
    }

    /** The same at its turn among others. */
    LaidOut inTurn(Turn turn) {
        return new LaidOut(situation.inTurn(turn), hands);
    }

    Extent extent() {
        return Extent.of(situation, hands);
    }

    /** Tubs that it wants for itself. */
    Turn.Wanted wanted() {
        return Extent.wanted(situation, hands);
    }
}
