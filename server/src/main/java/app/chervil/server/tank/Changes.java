package app.chervil.server.tank;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.List;

/** What changed about a tank, as a statement gathered it. */
record Changes(List<ChangeRow> rows) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    Changes {
        rows = List.copyOf(rows);
    }
}
