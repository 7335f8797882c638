package app.chervil.core.interval;

import app.chervil.core.filter.StageKind;
import java.util.List;

/**
 * What each grade looks like on each kind of stage, so that a grade means the same to everyone: a sock at 3 looks
 * different from a hose at 3. Clogged is always a test, not a taste: water passes over or around it, or hardly at all
 * (docs/sources.md#grades).
 */
public final class GradeWords {
    private static final List<String> FOAM = List.of(
            "like new, rinses clear at once",
            "colour still even, a little brown in the rinse",
            "half the pores shut, rinse turns brown",
            "slimy through and through, rinse like cocoa",
            "water went over or round it");
    private static final List<String> PAD = List.of(
            "white, light shines through",
            "a tint, light still shines through",
            "brown on its face, pale behind",
            "brown through, limp and heavy",
            "bulges or lifts; water went round it");

    private GradeWords() {}

    /** Five anchors, clean to clogged, in the middle of a sentence. */
    public static List<String> of(StageKind kind) {
        return switch (kind) {
            case STRAINER ->
                List.of(
                        "slots open",
                        "a leaf or two",
                        "a third of the slots covered",
                        "most slots covered, the pump works hard",
                        "covered; the intake sucks dry or collapses");
            case PREFILTER_SPONGE ->
                List.of(
                        "like new, springs back",
                        "a film on its face",
                        "brown face, pale core",
                        "brown to the core, draws in when it sucks",
                        "flat on the strainer; hardly any flow");
            case SPONGE ->
                List.of(
                        "like new, bubbles rise evenly",
                        "a film, bubbles as usual",
                        "brown, sheds a cloud when lifted",
                        "slimy, water climbs in the tube slowly",
                        "no lift; dirt falls off by itself");
            case SOCK ->
                List.of(
                        "white, water runs through the bottom",
                        "a tint, water a finger deep",
                        "brown, water stands to half",
                        "water stands near the rim",
                        "water ran over the rim");
            case FINE_PAD, FLOSS -> PAD;
            case BIO_MEDIA ->
                List.of(
                        "bare media",
                        "a film on the media",
                        "silt in the hollows",
                        "silt fills the gaps, a cloud when dipped",
                        "water runs over the tray, not through");
            case HOSES ->
                List.of(
                        "clear wall",
                        "a film you can wipe",
                        "brown wall, thin",
                        "thick slime, strands wave in it",
                        "slime narrows the bore; flow falls by a third");
            case OVERFLOW ->
                List.of(
                        "every tooth clear",
                        "a thread or two",
                        "a third of the teeth overgrown",
                        "most teeth shut, the tank stands higher",
                        "water found another way over");
            case SETTLING ->
                List.of(
                        "bare floor",
                        "a dusting",
                        "a layer you can write in",
                        "a finger deep",
                        "drifts; it is carried on with the water");
            case UV_SLEEVE ->
                List.of("clear glass", "a haze you can wipe", "milky film", "brown or chalky crust", "no light passes");
            case COARSE_FOAM, MEDIUM_FOAM, CARTRIDGE -> FOAM;
            // Nobody is asked to grade these; what an old log holds all the same is told as of foam.
            case REFUGIUM ->
                List.of(
                        "room left, light reaches the floor",
                        "filling, still loose",
                        "full, light reaches half way",
                        "dense, pale below",
                        "rotting below, or in the pump");
            case SURFACE_SKIMMER ->
                List.of(
                        "floats freely, surface clear",
                        "a leaf or two in it",
                        "slimy, still floats",
                        "sits low, surface dull",
                        "stuck, or draws air");
            case OUTLET ->
                List.of(
                        "every hole open",
                        "a film inside",
                        "some holes narrow",
                        "half of them shut",
                        "hardly any water comes out");
            case BAFFLE ->
                List.of(
                        "water runs through evenly",
                        "a film on it",
                        "slimy, still lets water through",
                        "water backs up behind it",
                        "water runs over it or back");
            case AIR_LINE,
                    PLANTS,
                    VALVES,
                    CLIPS,
                    FLEECE_ROLL,
                    CARBON,
                    RESIN,
                    PHOSPHATE_REMOVER,
                    UV_LAMP,
                    IMPELLER,
                    SEALS,
                    RETURN_PUMP,
                    SKIMMER,
                    TOP_OFF -> FOAM;
        };
    }
}
