package app.chervil.server.trial;

/** What changes how fast a tank makes nitrate or phosphate, and is no setting of the tank. */
public enum TankEventKind {
    FED_MORE("Fed more"),
    FED_LESS("Fed less"),
    ANIMALS_ADDED("Animals added"),
    ANIMALS_LOST("Animals lost"),
    STARTER_ADDED("Bacteria starter added"),
    OTHER("Something else");

    private final String words;

    TankEventKind(String words) {
        this.words = words;
    }

    String words() {
        return words;
    }
}
