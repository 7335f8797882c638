package app.chervil.core.filter;

/** The devices that filter a tank, in the order in which they are offered. */
public enum FilterKind {
    CANISTER("canister"),
    HANG_ON_BACK("hang-on-back"),
    INTERNAL("internal filter"),
    AIR_SPONGE("air sponge"),
    SUMP("sump"),
    UV_UNIT("UV unit");

    private final String words;

    FilterKind(String words) {
        this.words = words;
    }

    /** The name a keeper uses, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** Whether it pulls the tank's water in with force. */
    public boolean drawsIn() {
        return switch (this) {
            case CANISTER, HANG_ON_BACK, INTERNAL, SUMP -> true;
            case AIR_SPONGE, UV_UNIT -> false;
        };
    }
}
