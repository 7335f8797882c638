package app.chervil.server.device;

import app.chervil.core.device.Signal;
import app.chervil.core.device.Vigil;
import app.chervil.server.device.SignalMapper.StateRow;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A vigil as it is stored. */
final class Standing {
    private Standing() {}

    static Vigil of(StateRow row) {
        Optional<Signal> last = row.lastAt() == null || row.lastValue() == null
                ? Optional.empty()
                : Optional.of(new Signal(row.lastAt(), row.lastValue()));
        return new Vigil(
                last,
                Optional.ofNullable(row.amissSince()),
                row.usual() == null ? OptionalDouble.empty() : OptionalDouble.of(row.usual()),
                Optional.ofNullable(row.backOn()));
    }

    static StateRow row(long device, Vigil vigil, Instant heard) {
        return new StateRow(
                device,
                heard,
                vigil.last().map(Signal::at).orElse(null),
                vigil.last().map(Signal::value).orElse(null),
                vigil.since().orElse(null),
                usual(vigil),
                vigil.backOn().orElse(null),
                null);
    }

    static @Nullable Double usual(Vigil vigil) {
        return vigil.usual().isPresent() ? (Double) vigil.usual().getAsDouble() : null;
    }
}
