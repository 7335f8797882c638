package app.chervil.server.problem;

import java.util.function.Supplier;

/** Somebody else changed it meanwhile. */
public final class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient Object current;

    /**
     * Says what is stored now.
     *
     * @param current what is stored now, so that both values can be shown
     */
    public Conflict(String thing, Object current) {
        super("This " + thing + " was changed meanwhile. Look at both and save again.");
        this.current = current;
    }

    /**
     * Lets a versioned update pass only if it touched its row.
     *
     * @param rows rows updated, 0 or 1
     * @throws Conflict if none was
     */
    public static void unlessUpdated(int rows, String thing, Supplier<?> current) {
        if (rows == 0) {
            throw new Conflict(thing, current.get());
        }
    }

    Object current() {
        return current;
    }
}
