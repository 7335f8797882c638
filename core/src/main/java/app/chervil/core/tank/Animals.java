package app.chervil.core.tank;

/**
 * Animals that ask for other cautions, another flow or a guarded intake than most fish do (docs/sources.md#animals). What is
 * not among them asks for nothing of its own.
 */
public enum Animals {
    /** Turtles and terrapins, which eat much, shed germs and push what stands in their way. */
    TURTLES,
    /** Newts, frogs and axolotls, whose skin takes up what is in the water. */
    AMPHIBIANS,
    /** Young fish, small enough for an intake. */
    FRY,
    SHRIMP,
    /** Seahorses and pipefish, which hold on by their tails. */
    SEAHORSES;

    /** The most often that filters should turn an amphibian's tank over in an hour. */
    public static final double AMPHIBIAN_TURNOVER = 3;

    /** The widest slit that the young do not slip through, in mm. */
    public static final double SLIT_MM = 1;

    /** Whether they may shed salmonella while they look well. */
    public boolean shedsSalmonella() {
        return this == TURTLES || this == AMPHIBIANS;
    }

    /** Whether they pass the slits of a usual strainer. */
    public boolean slipsThrough() {
        return this == FRY || this == SHRIMP;
    }

    /** Whether an open intake or weir harms them. */
    public boolean wantsGuard() {
        return slipsThrough() || this == SEAHORSES;
    }
}
