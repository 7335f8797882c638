package app.chervil.core.media;

import app.chervil.core.media.Life.Worth;
import app.chervil.core.water.Hold;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is said when a piece goes from where it is to another spot (docs/sources.md#media-moves).
 *
 * @param from where it is; empty when its record begins
 * @param donor the tank it is in; empty on a shelf
 * @param donorHolds reasons to leave the donor's bacteria alone on that day
 * @param receiver the tank it goes to; empty on a shelf
 * @param receiverHolds the same of the tank it goes to
 * @param worth of the piece as it leaves
 */
public record Transfer(
        Optional<Stay> from,
        Optional<Living> donor,
        List<Hold> donorHolds,
        Spot to,
        Optional<Living> receiver,
        List<Hold> receiverHolds,
        Worth worth,
        LocalDate on) {
    public Transfer {
        donorHolds = List.copyOf(donorHolds);
        receiverHolds = List.copyOf(receiverHolds);
    }

    /** Why it may not be done at all; empty if it may. */
    public Optional<String> refusal() {
        if (from.filter(stay -> stay.spot() instanceof Spot.Gone).isPresent()) {
            return Optional.of("It was thrown away.");
        }
        if (leavesQuarantine()) {
            return Optional.of(donor.orElseThrow().name()
                    + " is a quarantine tank: what was in it goes nowhere but the bin or the dry shelf.");
        }
        return Optional.empty();
    }

    private boolean leavesQuarantine() {
        boolean quarantine = donor.map(Living::quarantine).orElse(false);
        boolean elsewhere = receiver.map(tank -> !tank.quarantine()).orElse(to instanceof Spot.WetShelf);
        return quarantine && elsewhere;
    }

    /** Whether the donor's own bacteria are taken: what only lay beside them to be seeded was never counted on. */
    public boolean takesFromDonor() {
        boolean working =
                from.filter(stay -> stay.spot() instanceof Spot.InFilter).isPresent();
        boolean stays = from.flatMap(Stay::tank).equals(to.tankId()) && to instanceof Spot.InFilter;
        return working && !stays;
    }

    /**
     * Reasons to wait, which the keeper may overrule by writing why. A tank that is held gives nothing away and is no place
     * to seed in; a treated one gives away nothing for another tank, whatever it is.
     */
    public List<String> holds() {
        boolean treats = receiver.isPresent() && !from.flatMap(Stay::tank).equals(to.tankId());
        Stream<Hold> giving = donorHolds.stream()
                .filter(hold -> takesFromDonor() || (treats && hold.cause() == Hold.Cause.MEDICATION));
        Stream<Hold> seeding = to instanceof Spot.Seeding
                ? receiverHolds.stream().filter(hold -> hold.cause() != Hold.Cause.MEDIA_REPLACED)
                : Stream.empty();
        return Stream.concat(giving, seeding).map(Hold::reason).distinct().toList();
    }

    /** What the keeper should know, as sentences; empty if nothing. */
    public List<String> advice() {
        List<String> told = new ArrayList<>();
        worth.death().ifPresent(death -> {
            if (receiver.isPresent()) {
                told.add(death.words() + " It counts as new: rinse it, and give it weeks to settle.");
            }
        });
        if (donor.isPresent()
                && receiver.isPresent()
                && donor.get().salty() != receiver.get().salty()) {
            told.add("Bacteria of fresh water do not live on in sea water, nor the other way. It begins anew there.");
        } else if (receiver.isPresent() && worth.share() >= Ripening.AS_NEW) {
            told.add("Carry it in water of its tank, not in tap water, and lay it in within minutes.");
        }
        receiver.filter(tank -> tank.treatments().stream().anyMatch(one -> one.works(on)))
                .ifPresent(
                        tank -> told.add(
                                tank.name()
                                        + " is under treatment: media that goes in now is treated with it, and dead for any other tank."));
        if (to instanceof Spot.WetShelf && worth.share() >= Ripening.AS_NEW) {
            told.add(
                    "Keep it under water of its tank, cool and open to the air. Half of its bacteria are lost in three days.");
        }
        if (to instanceof Spot.DryShelf && worth.share() >= Ripening.AS_NEW) {
            told.add("Dried, its bacteria die; nothing of what it holds is left.");
        }
        return told;
    }

    /**
     * What is left to do where it was taken from; empty if it leaves no gap. Media that only lay there to be seeded took up
     * room as well.
     *
     * @param filter its name
     */
    public Optional<String> gap(String filter) {
        Optional<Long> left = from.flatMap(Stay::filter);
        return left.isPresent() && !left.equals(to.filterId())
                ? Optional.of(
                        "Close the gap in " + filter
                                + ": water takes the way round media, not through it. Spread what is left, or fill up with foam.")
                : Optional.empty();
    }

    /** The share of its bacteria that live on where it goes. */
    public double arriving() {
        boolean other = donor.isPresent()
                && receiver.isPresent()
                && donor.get().salty() != receiver.get().salty();
        return other ? 0 : worth.share();
    }
}
