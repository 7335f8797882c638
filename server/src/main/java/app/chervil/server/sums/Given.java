package app.chervil.server.sums;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What was given to a sum, by the names of its fields. */
record Given(@JsonValue Map<String, @Nullable Object> byField) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    Given {
        byField = Collections.unmodifiableMap(new LinkedHashMap<>(byField));
    }
}
