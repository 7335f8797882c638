package app.chervil.server.procedure;

import app.chervil.server.procedure.ProcedureView.StepView;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;

/** Steps of a guided service as they were shown, stored as a list. */
record KeptSteps(@JsonValue List<StepView> steps) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    KeptSteps {
        steps = List.copyOf(steps);
    }
}
