package app.chervil.core.filter;

import static app.chervil.core.filter.StageKind.Trait.*;

import java.util.Set;

/**
 * The components that water meets in a filter, each with what all rules need to know of it. The care it asks for stands in
 * {@link CareCatalogue}.
 */
public enum StageKind {
    STRAINER("strainer", Texture.MESH, Home.NONE, OUTSIDE),
    PREFILTER_SPONGE("pre-filter", Texture.SPONGE, Home.SOME, OUTSIDE),
    SPONGE("sponge", Texture.SPONGE, Home.CHIEF, FOAM),
    AIR_LINE("air line", Texture.HOSE, Home.NONE),
    OVERFLOW("overflow", Texture.MESH, Home.NONE),
    SOCK("sock", Texture.FINE, Home.NONE, CATCHES_BLOWN_DIRT),
    FLEECE_ROLL("fleece roll", Texture.FINE, Home.NONE),
    SETTLING("settling chamber", Texture.NONE, Home.NONE),
    SKIMMER("skimmer", Texture.NONE, Home.NONE, BESIDE),
    REFUGIUM("refugium", Texture.BIO, Home.SOME),
    COARSE_FOAM("coarse foam", Texture.COARSE, Home.FOAM, STOPS_DIRT_INSIDE, FOAM),
    MEDIUM_FOAM("medium foam", Texture.MEDIUM, Home.FOAM, STOPS_DIRT_INSIDE, FOAM),
    FINE_PAD("fine pad", Texture.FINE, Home.UNTIL_CHANGED, STOPS_DIRT_INSIDE, CATCHES_BLOWN_DIRT),
    FLOSS("floss", Texture.FINE, Home.UNTIL_CHANGED, STOPS_DIRT_INSIDE, CATCHES_BLOWN_DIRT),
    CARTRIDGE("cartridge", Texture.GRAINS, Home.SOME, FOAM),
    BIO_MEDIA("bio media", Texture.BIO, Home.CHIEF, MASS),
    CARBON("carbon", Texture.GRAINS, Home.NONE, MASS),
    RESIN("resin", Texture.GRAINS, Home.NONE, MASS),
    PHOSPHATE_REMOVER("phosphate remover", Texture.GRAINS, Home.NONE, MASS),
    UV_LAMP("UV lamp", Texture.LAMP, Home.NONE),
    UV_SLEEVE("UV sleeve", Texture.LAMP, Home.NONE),
    IMPELLER("impeller", Texture.PROPELLER, Home.NONE),
    SEALS("seals", Texture.RING, Home.NONE),
    HOSES("hoses", Texture.HOSE, Home.NONE, OUTSIDE),
    RETURN_PUMP("return pump", Texture.PROPELLER, Home.NONE),
    TOP_OFF("top-off", Texture.NONE, Home.NONE, BESIDE),
    SURFACE_SKIMMER("surface skimmer", Texture.MESH, Home.NONE, OUTSIDE),
    OUTLET("outlet", Texture.HOSE, Home.NONE, OUTSIDE),
    BAFFLE("spill baffle", Texture.COARSE, Home.SOME, OUTSIDE),
    PLANTS("plants", Texture.BIO, Home.NONE, OUTSIDE),
    VALVES("valves", Texture.RING, Home.NONE, OUTSIDE),
    CLIPS("clips and cups", Texture.RING, Home.NONE, OUTSIDE);

    private final String words;
    private final Texture texture;
    private final Home home;

    @SuppressWarnings("ImmutableEnumChecker") // a copy that nobody else holds
    private final Set<Trait> traits;

    /** What is true of a kind. */
    enum Trait {
        /** It is reached without opening its canister. */
        OUTSIDE,
        /** Its fill decides when a canister is opened. */
        STOPS_DIRT_INSIDE,
        /** It catches what was blown off rock, and is changed the same day. */
        CATCHES_BLOWN_DIRT,
        /** It is among the foam, sponges and cartridges of a tank, of which most are not cleaned at once. */
        FOAM,
        /** It has a plug of its own and is seen to while the filter runs. */
        BESIDE,
        /** Its amount is a mass of loose or bagged media. */
        MASS
    }

    /** What it is made of, as a picture shows it. */
    public enum Texture {
        MESH,
        SPONGE,
        COARSE,
        MEDIUM,
        FINE,
        BIO,
        GRAINS,
        HOSE,
        PROPELLER,
        LAMP,
        RING,
        NONE
    }

    /** How many of a tank's bacteria live in it. */
    public enum Home {
        /** None worth speaking of. */
        NONE,
        /** Some. */
        SOME,
        /** Some, who go with it when it is changed in its turn. */
        UNTIL_CHANGED,
        /** Some, and many once it is old. */
        FOAM,
        /** Most. */
        CHIEF;

        /** How much work on it alone disturbs them, 0 not at all to 2. */
        int disturbedBy(CareAction action) {
            return switch (this) {
                case NONE -> 0;
                case SOME -> 1;
                case UNTIL_CHANGED -> action == CareAction.CHANGE ? 0 : 1;
                case FOAM -> action == CareAction.REPLACE ? BacteriaHomes.DISTURBING : 1;
                case CHIEF -> BacteriaHomes.DISTURBING;
            };
        }
    }

    StageKind(String words, Texture texture, Home home, Trait... traits) {
        this.words = words;
        this.texture = texture;
        this.home = home;
        this.traits = Set.of(traits);
    }

    /** The name a keeper uses, in the middle of a sentence. */
    public String words() {
        return words;
    }

    public Texture texture() {
        return texture;
    }

    /** Whether a filter runs on without it, so that a tank can be kept without it for a time. */
    public boolean canBeLeftOut() {
        return switch (this) {
            case PREFILTER_SPONGE, SOCK, FLEECE_ROLL, FINE_PAD, FLOSS, CARBON, RESIN, PHOSPHATE_REMOVER -> true;
            default -> false;
        };
    }

    public Home home() {
        return home;
    }

    /** Whether its fill decides when a canister is opened: the foams and pads that stop dirt. */
    public boolean stopsDirtInside() {
        return traits.contains(STOPS_DIRT_INSIDE);
    }

    /** Whether it catches what was blown off rock, and is changed the same day. */
    public boolean catchesBlownDirt() {
        return traits.contains(CATCHES_BLOWN_DIRT);
    }

    /** Whether it is among the foam, sponges and cartridges of a tank. */
    boolean isFoam() {
        return traits.contains(FOAM);
    }

    /** Whether it sits inside a closed canister, so that reaching it means opening it. */
    public boolean insideCanister() {
        return !traits.contains(OUTSIDE);
    }

    /** Whether it has a plug of its own and is seen to while the filter runs. */
    public boolean isBeside() {
        return traits.contains(BESIDE);
    }

    /** Whether its amount is a mass of loose or bagged media. */
    public boolean measuredByMass() {
        return traits.contains(MASS);
    }

    /** Whether it lies in a tray, a cage or a box, rather than being part of the machine or hanging outside. */
    public boolean lies() {
        return stopsDirtInside() || measuredByMass() || this == CARTRIDGE;
    }

    /** Whether it stops dirt where it lies, so that it does not go back unwashed. */
    public boolean isMechanical() {
        return stopsDirtInside() || this == CARTRIDGE || this == SPONGE;
    }

    /** Whether it is sponge or foam by what it is made of, so that it is squeezed out in water. */
    public boolean isSqueezed() {
        return texture == Texture.SPONGE || texture == Texture.COARSE || texture == Texture.MEDIUM;
    }

    /** Whether it takes something out of the water by itself, and holds no bacteria. */
    public boolean isChemical() {
        return measuredByMass() && home == Home.NONE;
    }

    /** Whether taking it out leaves the tank's bacteria alone: a fine pad, floss or a bag of chemical media. */
    public boolean isPadOrBag() {
        return isChemical() || home == Home.UNTIL_CHANGED;
    }

    /** Whether it belongs to a lamp. */
    public boolean isOfLamp() {
        return texture == Texture.LAMP;
    }
}
