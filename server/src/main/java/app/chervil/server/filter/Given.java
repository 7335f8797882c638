package app.chervil.server.filter;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** Values that may be absent, between what is stored or sent and the core. */
final class Given {
    private Given() {}

    static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    static OptionalInt count(@Nullable Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }

    static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static @Nullable Integer orNull(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }
}
