package app.chervil.server.procedure;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;

/** Tasks of a guided service, stored as a list of their numbers. */
record TaskIds(@JsonValue List<Long> ids) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    TaskIds {
        ids = List.copyOf(ids);
    }
}
