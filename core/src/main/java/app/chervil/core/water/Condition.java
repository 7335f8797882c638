package app.chervil.core.water;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The condition check: a look at animals and water, and what any "no" asks for. */
public enum Condition {
    ACTIVE("Are the animals active?", Of.ANIMALS),
    EATING("Are they eating?", Of.ANIMALS),
    COLOURED("Is their colour good?", Of.ANIMALS),
    BREATHING("Do they breathe calmly?", Of.ANIMALS),
    INTERACTING("Do they get on with each other as usual?", Of.ANIMALS),
    CLEAR("Is the water clear?", Of.WATER),
    SMELL("Does it smell fresh?", Of.WATER),
    SURFACE("Is the surface free of film?", Of.WATER);

    /** What a question looks at. */
    public enum Of {
        ANIMALS,
        WATER
    }

    private final String question;
    private final Of of;

    Condition(String question, Of of) {
        this.question = question;
        this.of = of;
    }

    /** Readings that tell more when the answer is no, most telling first. */
    private List<Parameter> asks() {
        return switch (this) {
            case ACTIVE -> List.of(Parameter.AMMONIA, Parameter.NITRITE, Parameter.TEMPERATURE);
            case EATING, COLOURED -> List.of(Parameter.AMMONIA, Parameter.NITRITE, Parameter.PH);
            case BREATHING -> List.of(Parameter.AMMONIA, Parameter.NITRITE, Parameter.TEMPERATURE, Parameter.PH);
            case INTERACTING, CLEAR -> List.of(Parameter.AMMONIA, Parameter.NITRITE);
            case SMELL -> List.of(Parameter.AMMONIA, Parameter.NITRATE);
            case SURFACE -> List.of(Parameter.NITRATE);
        };
    }

    /** Asked so that yes is well. */
    public String question() {
        return question;
    }

    public Of of() {
        return of;
    }

    /**
     * What comes first when something is not well.
     *
     * @param readings that matter, most telling first
     * @param steps what to do, in order
     */
    public record Advice(Set<Parameter> readings, List<String> steps) {
        public Advice {
            steps = List.copyOf(steps);
        }
    }

    /**
     * What to do about the questions answered with no.
     *
     * @param amiss may be empty: all is well
     */
    public static Advice advise(Collection<Condition> amiss) {
        Set<Parameter> readings = new LinkedHashSet<>();
        List<String> steps = new ArrayList<>();
        if (amiss.contains(BREATHING)) {
            steps.add("More air first: surface movement or an air stone. Then test.");
        }
        for (Condition one : values()) {
            if (amiss.contains(one)) {
                readings.addAll(one.asks());
            }
        }
        if (!readings.isEmpty()) {
            steps.add("Test before anything is cleaned or dosed, and keep the kit's waiting time.");
        }
        if (amiss.contains(CLEAR)) {
            steps.add(
                    "Cloudy for an hour after a service is dirt. For a day, it is a bloom of bacteria: leave the filter alone.");
        }
        if (amiss.contains(SMELL)) {
            steps.add("Look for a dead animal or rotting food, and take it out.");
        }
        if (amiss.contains(SURFACE)) {
            steps.add("Move the surface; check whether the return or a surface intake is blocked.");
        }
        if (amiss.stream().anyMatch(one -> one.of == Of.ANIMALS)) {
            steps.add("Sick animals are a vet's matter; the readings help the vet.");
        }
        return new Advice(readings, steps);
    }
}
