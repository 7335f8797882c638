package app.chervil.server.trial;

import app.chervil.core.trial.Design.Kept;
import app.chervil.core.water.Parameter;
import app.chervil.server.storage.JsonHandler;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;

/**
 * How a trial is laid out on one tank, beside its ways.
 *
 * @param kept place of the way it began with and keeps; null where it has all in turn
 * @param swapped days on which it went on to the next, oldest first
 * @param watched what is shown beside the parameter that is judged
 */
record TrialSetup(@Nullable Integer kept, List<LocalDate> swapped, List<Parameter> watched) {
    TrialSetup {
        swapped = List.copyOf(swapped);
        watched = List.copyOf(watched);
    }

    Optional<Kept> way() {
        return kept == null ? Optional.empty() : Optional.of(new Kept(kept, swapped));
    }

    TrialSetup swappedOn(LocalDate day) {
        return new TrialSetup(
                kept, Stream.concat(swapped.stream(), Stream.of(day)).toList(), watched);
    }

    /** Without the latest swap. */
    TrialSetup swappedBack() {
        return new TrialSetup(kept, swapped.subList(0, Math.max(0, swapped.size() - 1)), watched);
    }

    /** Stored whole. */
    @MappedTypes(TrialSetup.class)
    public static class Handler extends JsonHandler<TrialSetup> {
        /** Made by the database layer. */
        public Handler() {
            super(TrialSetup.class, Names.FIELDS);
        }
    }
}
