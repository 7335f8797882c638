package app.chervil.core.site;

import java.util.Optional;
import java.util.function.Supplier;

/** A value worked out when it is first asked for, and then kept; safe to ask from several threads. */
final class Once<T> {
    private final Supplier<T> work;
    private volatile Optional<T> value = Optional.empty();

    Once(Supplier<T> work) {
        this.work = work;
    }

    T get() {
        return value.orElseGet(this::first);
    }

    private synchronized T first() {
        T known = value.orElseGet(work);
        value = Optional.of(known);
        return known;
    }
}
