package app.chervil.core.media;

import app.chervil.core.calc.Check;
import app.chervil.core.sums.BioMedium;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * A bag, foam or basket of media, as it was when the keeper first told of it or split it off another.
 *
 * @param grams of it then, above zero
 * @param since the day its record begins: bought, found in its filter, or split off
 * @param from the piece that it was part of; empty if of none
 */
public record Piece(UUID id, String name, BioMedium kind, double grams, LocalDate since, Optional<UUID> from) {
    public Piece {
        Check.positive("grams", grams);
    }
}
