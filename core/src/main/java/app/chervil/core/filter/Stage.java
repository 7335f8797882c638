package app.chervil.core.filter;

/**
 * One component of a water path.
 *
 * @param make how it is made: washed or thrown away, bagged or loose
 */
public record Stage(StageKind kind, Make make) {
    /** Whether it is washed and kept, or thrown away when spent. */
    public enum Make {
        WASHABLE,
        DISPOSABLE
    }

    public static Stage washable(StageKind kind) {
        return new Stage(kind, Make.WASHABLE);
    }

    public static Stage disposable(StageKind kind) {
        return new Stage(kind, Make.DISPOSABLE);
    }
}
