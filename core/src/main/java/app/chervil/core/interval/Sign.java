package app.chervil.core.interval;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import java.util.List;

/** What a look at a part can tell between services. */
public enum Sign {
    /** The lamp does not burn. */
    DARK("The lamp is dark", Unit.NONE),
    /** The water has turned green although sleeve and flow are as they should be. */
    GREEN_WATER("The water has turned green; sleeve clean, flow as usual", Unit.NONE),
    /** Against a white card the water shows no tint. */
    NO_TINT("No tint against a white card", Unit.NONE),
    /** Against a white card the water shows a tint again. */
    TINT_BACK("The tint is back against a white card", Unit.NONE),
    /** This filling of carbon went in to take a medicine out. */
    FOR_MEDICATION("This carbon went in to take a medicine out", Unit.NONE),
    /** How much of the bag has changed its colour. */
    COLOURED("Coloured share of the bag", Unit.PERCENT),
    /** What is left on the roll. */
    LEFT("Left on the roll", Unit.METRES),
    /** What the counter of a lamp's hours reads. */
    BURNT("Hours on its counter", Unit.HOURS),
    /** The part is as it should be. */
    SOUND("Sound", Unit.NONE),
    /** The part is worn, flat, cracked, crumbling or no longer springs back. */
    WORN("Worn out", Unit.NONE);

    private final String words;
    private final Unit unit;

    /** What a sign is measured in. */
    public enum Unit {
        NONE,
        PERCENT,
        METRES,
        HOURS
    }

    Sign(String words, Unit unit) {
        this.words = words;
        this.unit = unit;
    }

    /** What a keeper reads. */
    public String words() {
        return words;
    }

    /** What its amount is measured in. */
    public Unit unit() {
        return unit;
    }

    /** What this sign means on a kind of stage, in a keeper's words. */
    public String wordsFor(StageKind kind) {
        if (this == SOUND) {
            return switch (kind) {
                case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD, SPONGE, PREFILTER_SPONGE -> "Springs back, whole";
                case SEALS -> "Round and supple";
                case IMPELLER -> "Runs true, shaft smooth";
                default -> "Holds its shape";
            };
        }
        if (this == WORN) {
            return switch (kind) {
                case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD, SPONGE, PREFILTER_SPONGE ->
                    "No longer springs back, or crumbles";
                case SEALS -> "Flat or cracked";
                case IMPELLER -> "Worn shaft, bushing or blades";
                default -> "Crumbles or no longer holds water";
            };
        }
        return words;
    }

    /** Signs that bear on a task; empty if none do. */
    public static List<Sign> of(StageKind kind, CareAction action) {
        return switch (kind) {
            case UV_LAMP -> List.of(DARK, GREEN_WATER, BURNT);
            case CARBON -> List.of(NO_TINT, TINT_BACK, FOR_MEDICATION);
            case RESIN -> List.of(COLOURED);
            case FLEECE_ROLL -> List.of(LEFT);
            case IMPELLER, SEALS ->
                action == CareAction.INSPECT || action == CareAction.REPLACE ? List.of(SOUND, WORN) : List.of();
            case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD -> action == CareAction.REPLACE ? List.of(SOUND, WORN) : List.of();
            case BIO_MEDIA -> List.of(SOUND, WORN);
            default -> List.of();
        };
    }
}
