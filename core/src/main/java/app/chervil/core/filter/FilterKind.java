package app.chervil.core.filter;

/** The devices that filter a tank. */
public enum FilterKind {
    AIR_SPONGE("air sponge"),
    HANG_ON_BACK("hang-on-back"),
    CANISTER("canister"),
    INTERNAL("internal filter"),
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
}
