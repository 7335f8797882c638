package app.chervil.core.filter;

/** The components that water meets in a filter. */
public enum StageKind {
    STRAINER("strainer"),
    PREFILTER_SPONGE("pre-filter"),
    SPONGE("sponge"),
    AIR_LINE("air line"),
    OVERFLOW("overflow"),
    SOCK("sock"),
    FLEECE_ROLL("fleece roll"),
    SETTLING("settling chamber"),
    COARSE_FOAM("coarse foam"),
    MEDIUM_FOAM("medium foam"),
    FINE_PAD("fine pad"),
    FLOSS("floss"),
    CARTRIDGE("cartridge"),
    BIO_MEDIA("bio media"),
    CARBON("carbon"),
    RESIN("resin"),
    PHOSPHATE_REMOVER("phosphate remover"),
    UV_LAMP("UV lamp"),
    UV_SLEEVE("UV sleeve"),
    IMPELLER("impeller"),
    SEALS("seals"),
    HOSES("hoses"),
    RETURN_PUMP("return pump");

    private final String words;

    StageKind(String words) {
        this.words = words;
    }

    /** The name a keeper uses, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** Whether its fill decides when a canister is opened: the foams and pads that stop dirt. */
    public boolean stopsDirtInside() {
        return switch (this) {
            case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD, FLOSS -> true;
            default -> false;
        };
    }

    /** Whether it sits inside a closed canister, so that reaching it means opening it. */
    public boolean insideCanister() {
        return switch (this) {
            case STRAINER, PREFILTER_SPONGE, HOSES -> false;
            default -> true;
        };
    }

    /** Whether its amount is a mass of loose or bagged media. */
    public boolean measuredByMass() {
        return switch (this) {
            case BIO_MEDIA, CARBON, RESIN, PHOSPHATE_REMOVER -> true;
            default -> false;
        };
    }
}
