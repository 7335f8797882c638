package app.chervil.core.tank;

/** A step on a scale that changes how fast dirt arrives. */
public interface DirtLevel {
    /** Factor on the dirt rate; 1 is normal. */
    double multiplier();

    /** Place on its scale, 0 for the least. */
    int ordinal();

    String name();
}
