package app.chervil.core.filter;

/** What a keeper brings to the tank, and what becomes of it. */
public enum Material {
    BUCKET("Bucket", Use.SHARED),
    MEDIA_BUCKET("Clean bucket for media", Use.SHARED),
    THREE_BUCKETS("3 buckets of tank water", Use.SHARED),
    GLOVES("Gloves, towel, drip tray", Use.SHARED),
    GOGGLES("Gloves, goggles", Use.SHARED),
    SPONGE_BAG("Bag for the sponge", Use.SHARED),
    SOFT_BRUSH("Soft brush", Use.SHARED),
    HOSE_BRUSH("Hose brush", Use.SHARED),
    SOFT_CLOTH("Soft cloth", Use.SHARED),
    CUP("Cup for screws", Use.SHARED),
    SCISSORS("Scissors", Use.SHARED),
    SIPHON("Siphon", Use.SHARED),
    ROCK_PUMP("Small pump for the rock", Use.SHARED),
    GREASE("Food-grade silicone grease", Use.SHARED),
    VINEGAR("Vinegar", Use.SHARED),
    BLEACH("Plain bleach", Use.SHARED),
    DECHLORINATOR("Dechlorinator", Use.SHARED),
    SOCK("Clean sock", Use.TURNED),
    RESIN_BAG("Spare resin bag", Use.TURNED),
    MEDIA_BAG("Media bag", Use.TURNED),
    FINE_PAD("Fine pad", Use.SPENT),
    FLEECE_ROLL("Fleece roll", Use.SPENT),
    FOAM("New foam", Use.SPENT),
    CARTRIDGE("Cartridge", Use.SPENT),
    LOOSE_CARBON("Loose carbon", Use.SPENT),
    CARBON("Carbon", Use.SPENT),
    PHOSPHATE_REMOVER("Phosphate remover", Use.SPENT),
    BIO_MEDIA("New bio media", Use.SPENT),
    UV_LAMP("UV lamp", Use.SPENT),
    AIR_STONE("Spare air stone", Use.SPENT),
    IMPELLER_SET("Impeller set", Use.SPENT),
    SEAL_RINGS("Set of seal rings", Use.SPENT),
    SLEEVE("Quartz sleeve", Use.SPENT),
    HOSE("New hose", Use.SPENT),
    VALVES("Set of valves", Use.SPENT),
    CLIPS("Set of clips and cups", Use.SPENT);

    /** After use. */
    public enum Use {
        /** Carried once, however many tasks ask for it. */
        SHARED,
        /** One for each task; washed and used again. */
        TURNED,
        /** One for each task; gone afterwards. */
        SPENT
    }

    private final String words;
    private final Use use;

    Material(String words, Use use) {
        this.words = words;
        this.use = use;
    }

    public String words() {
        return words;
    }

    public Use use() {
        return use;
    }

    /** Whether it must fit its stage, so that a size is told with it. */
    public boolean mustFit() {
        return switch (this) {
            case SOCK,
                    RESIN_BAG,
                    FINE_PAD,
                    FLEECE_ROLL,
                    FOAM,
                    CARTRIDGE,
                    UV_LAMP,
                    AIR_STONE,
                    IMPELLER_SET,
                    SEAL_RINGS,
                    SLEEVE,
                    HOSE,
                    VALVES,
                    CLIPS -> true;
            default -> false;
        };
    }
}
