package app.chervil.core.procedure;

import app.chervil.core.filter.Material;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One thing to do.
 *
 * @param id unique within a procedure and the same whenever it is assembled again
 * @param what text and reason
 * @param about the task it serves; empty for what every service has
 * @param care cautions, materials and timer
 * @param captures what is written down here
 * @param drawnLitres of tank water that leaves the tank here for rinsing; zero if none
 */
public record Step(
        String id,
        Words what,
        About about,
        Care care,
        Optional<Capture> captures,
        Set<Effect> effects,
        double drawnLitres) {
    /** The same in other words. */
    Step saying(Words words) {
        return new Step(id, words, about, care, captures, effects, drawnLitres);
    }

    /** The same with other things to mind. */
    Step minding(Care other) {
        return new Step(id, what, about, other, captures, effects, drawnLitres);
    }

    /**
     * What to do and why.
     *
     * @param reason may be empty
     */
    public record Words(String text, String reason) {}

    /**
     * The task and stage a step belongs to; both empty for what every service has.
     *
     * @param place that is lifted or put back, by its number in the passport; empty for other steps
     * @param tub that something is set into, 1 to 3; empty if it goes into none
     */
    public record About(OptionalLong task, OptionalLong stage, OptionalInt place, OptionalInt tub) {
        public static final About ALL = new About(OptionalLong.empty(), OptionalLong.empty());

        public About(OptionalLong task, OptionalLong stage) {
            this(task, stage, OptionalInt.empty(), OptionalInt.empty());
        }
    }

    /**
     * What to mind.
     *
     * @param timerMinutes how long to wait, above zero
     */
    public record Care(List<Caution> cautions, List<Material> materials, OptionalInt timerMinutes) {
        public static final Care NONE = new Care(List.of(), List.of(), OptionalInt.empty());

        public Care {
            cautions = List.copyOf(cautions);
            materials = List.copyOf(materials);
        }

        Care with(Material more) {
            return new Care(
                    cautions,
                    Stream.concat(materials.stream(), Stream.of(more))
                            .distinct()
                            .toList(),
                    timerMinutes);
        }
    }

    /** What a step writes down. */
    public enum Capture {
        FINDING,
        FLOW_BEFORE,
        FLOW_AFTER,
        RESTART,
        /** Where media came from that was in the pump. */
        STRAY
    }

    /** What a step does to the filter, as far as safety goes. */
    public enum Effect {
        POWER_OFF,
        POWER_ON,
        HANDS_IN,
        FILTER_OPENED,
        FILTER_SHUT,
        PART_OUT,
        PART_IN,
        /** A tray or cage with what stays in it. */
        PLACE_OUT,
        PLACE_IN,
        LAMP_BAY_OPENED,
        LAMP_BAY_SHUT,
        HEATER_OFF,
        HEATER_ON,
        /** Water leaves the tank. */
        WATER_OUT,
        /** Valves shut, or the siphon broken. */
        WATER_SHUT,
        WATER_ON,
        HOSES_MARKED,
        HOSES_OFF,
        HOSES_ON,
        TOPPED_UP,
        TIPPED,
        FILLED,
        LAMP_COOL,
        LAMP_OUT,
        LAMP_IN,
        SLEEVE_OUT,
        SLEEVE_IN,
        LAMP_ON,
        /** Bio media leaves its place, straight into tank water. */
        BIO_OUT,
        /** A foam or pad that is to be rinsed leaves its place. */
        DIRT_OUT,
        /** A foam or pad is rinsed or a new one made ready. */
        WASHED,
        /** The work of a chore is done. */
        ROCK_BLOWN_OFF,
        SUBSTRATE_VACUUMED,
        MEDIA_EXCHANGED
    }
}
