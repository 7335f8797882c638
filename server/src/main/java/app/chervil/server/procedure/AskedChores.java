package app.chervil.server.procedure;

import app.chervil.core.procedure.Situation.Chore;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Set;

/** Chores of a guided service, stored as a list of their names. */
record AskedChores(@JsonValue Set<Chore> kinds) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    AskedChores {
        kinds = Set.copyOf(kinds);
    }
}
