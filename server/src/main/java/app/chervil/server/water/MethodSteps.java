package app.chervil.server.water;

import app.chervil.server.water.MethodView.MethodStep;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;

/** Timed steps of a method, stored as a list. */
record MethodSteps(@JsonValue List<MethodStep> inOrder) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    MethodSteps {
        inOrder = List.copyOf(inOrder);
    }
}
