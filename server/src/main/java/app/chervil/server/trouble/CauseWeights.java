package app.chervil.server.trouble;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Map;

/** How the site's own cases weighed, by cause, stored as an object. */
record CauseWeights(@JsonValue Map<String, Double> byCause) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    CauseWeights {
        byCause = Map.copyOf(byCause);
    }
}
