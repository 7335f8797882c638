package app.chervil.server.tank;

import app.chervil.core.tank.Animals;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Set;

/** The animals of a tank that ask for care of their own, stored as a list of their names. */
public record Living(@JsonValue Set<Animals> animals) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public Living {
        animals = Set.copyOf(animals);
    }
}
