package app.chervil.server.problem;

/** Nothing by that id on this site. */
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final String thing;

    public NotFound(String thing) {
        super("No such " + thing + " on this site.");
        this.thing = thing;
    }

    String code() {
        return thing.replace(' ', '-') + "-not-found";
    }
}
