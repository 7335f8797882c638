package app.chervil.core.interval;

import app.chervil.core.filter.Endurance;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is known of a part apart from its services.
 *
 * @param looks oldest first
 * @param rinses days on which the part was rinsed, oldest first
 * @param metered what a flow meter last said of it; empty without one
 */
public record Evidence(Endurance endurance, List<Look> looks, List<LocalDate> rinses, Optional<Metered> metered) {
    public static final Evidence NONE = new Evidence(Endurance.UNKNOWN, List.of(), List.of());

    public Evidence {
        looks = looks.stream().sorted(Comparator.comparing(Look::on)).toList();
        rinses = rinses.stream().sorted().toList();
    }

    public Evidence(Endurance endurance, List<Look> looks, List<LocalDate> rinses) {
        this(endurance, looks, rinses, Optional.empty());
    }

    /** Looks after a day and up to another, oldest first. */
    List<Look> between(LocalDate startExclusive, LocalDate endInclusive) {
        return looks.stream()
                .filter(look -> look.on().isAfter(startExclusive) && !look.on().isAfter(endInclusive))
                .toList();
    }

    /** The same with what a flow meter last said. */
    public Evidence with(Optional<Metered> read) {
        return new Evidence(endurance, looks, rinses, read);
    }

    /** The first look after a day that shows a sign. */
    Optional<Look> firstAfter(LocalDate day, Sign sign) {
        return looks.stream()
                .filter(look -> look.sign() == sign && look.on().isAfter(day))
                .findFirst();
    }
}
