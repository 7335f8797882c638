package app.chervil.core.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.media.Life.Death;
import app.chervil.core.media.Life.State;
import app.chervil.core.media.Life.Worth;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Medication;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is said before a bag goes from Brook to Nursery, to a shelf, or into quarantine. */
class TransferTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Spot WORKING = new Spot.InFilter(1, 10);
    private static final Spot SEEDING = new Spot.Seeding(1, 10, 2);
    private static final Spot NURSERY = new Spot.InFilter(2, 20);
    private static final Worth RIPE = new Worth(State.RIPE, 0.95, Optional.empty(), Optional.empty());
    private static final Hold TREATED = hold(Hold.Cause.MEDICATION, "A treatment is under way.");
    private static final Hold YOUNG = hold(Hold.Cause.YOUNG_TANK, "This tank is young.");
    private static final Hold AMMONIA = hold(Hold.Cause.AMMONIA, "Ammonia reached 1 mg/L.");

    private static Hold hold(Hold.Cause cause, String reason) {
        return new Hold(cause, TODAY, Optional.empty(), reason, "");
    }

    private static Living tank(String name, WaterKind water, boolean quarantine, Medication... treatments) {
        return new Living(name, water, Stocking.NORMAL, 25, TODAY.minusYears(2), List.of(treatments), quarantine);
    }

    private static final Living BROOK = tank("Brook", WaterKind.FRESH, false);
    private static final Living HOSPITAL = tank("Hospital", WaterKind.FRESH, true);
    private static final Living NEW = tank("Nursery", WaterKind.FRESH, false);

    private static Transfer transfer(Spot from, Living donor, List<Hold> holds, Spot to, Living receiver, Worth worth) {
        return new Transfer(
                Optional.of(new Stay(from, TODAY.minusDays(40), Optional.empty())),
                Optional.ofNullable(donor),
                holds,
                to,
                Optional.ofNullable(receiver),
                List.of(),
                worth,
                TODAY);
    }

    @Test
    void a_ripe_bag_may_go_and_is_carried_wet() {
        Transfer transfer = transfer(WORKING, BROOK, List.of(), NURSERY, NEW, RIPE);

        assertThat(transfer.refusal()).isEmpty();
        assertThat(transfer.holds()).isEmpty();
        assertThat(transfer.advice())
                .containsExactly("Carry it in water of its tank, not in tap water, and lay it in within minutes.");
        assertThat(transfer.gap("Weir")).get().asString().startsWith("Close the gap in Weir");
        assertThat(transfer.takesFromDonor()).isTrue();
    }

    @Test
    void a_held_tank_gives_nothing_of_its_own_away_not_even_to_a_shelf() {
        assertThat(transfer(WORKING, BROOK, List.of(AMMONIA, YOUNG), NURSERY, NEW, RIPE)
                        .holds())
                .containsExactly(AMMONIA.reason(), YOUNG.reason());
        assertThat(transfer(WORKING, BROOK, List.of(YOUNG), new Spot.WetShelf(), null, RIPE)
                        .holds())
                .containsExactly(YOUNG.reason());
        assertThat(transfer(WORKING, BROOK, List.of(YOUNG), new Spot.Gone(), null, RIPE)
                        .holds())
                .containsExactly(YOUNG.reason());
    }

    @Test
    void what_was_only_seeded_there_may_leave_a_held_tank_but_not_a_treated_one() {
        Transfer held = transfer(SEEDING, BROOK, List.of(AMMONIA), NURSERY, NEW, RIPE);
        Transfer treated = transfer(SEEDING, BROOK, List.of(AMMONIA, TREATED), NURSERY, NEW, RIPE);

        assertThat(held.holds()).isEmpty();
        assertThat(held.takesFromDonor()).isFalse();
        assertThat(held.gap("Weir")).as("it took up room").isPresent();
        assertThat(treated.holds()).containsExactly(TREATED.reason());
        assertThat(transfer(SEEDING, BROOK, List.of(TREATED), new Spot.Gone(), null, RIPE)
                        .holds())
                .isEmpty();
    }

    @Test
    void nobody_seeds_in_a_tank_that_is_young_ill_or_treated() {
        Transfer transfer = new Transfer(
                Optional.empty(),
                Optional.empty(),
                List.of(),
                SEEDING,
                Optional.of(BROOK),
                List.of(YOUNG, hold(Hold.Cause.MEDIA_REPLACED, "Media was replaced.")),
                new Worth(State.NEW, 0, Optional.empty(), Optional.empty()),
                TODAY);

        assertThat(transfer.holds())
                .as("new media beside new media harms nobody")
                .containsExactly(YOUNG.reason());
    }

    @Test
    void quarantine_is_left_for_the_bin_alone() {
        Spot hospital = new Spot.InFilter(3, 30);

        assertThat(transfer(hospital, HOSPITAL, List.of(), NURSERY, NEW, RIPE).refusal())
                .contains("Hospital is a quarantine tank: what was in it goes nowhere but the bin or the dry shelf.");
        assertThat(transfer(hospital, HOSPITAL, List.of(), new Spot.WetShelf(), null, RIPE)
                        .refusal())
                .isPresent();
        assertThat(transfer(hospital, HOSPITAL, List.of(), new Spot.Gone(), null, RIPE)
                        .refusal())
                .isEmpty();
        assertThat(transfer(hospital, HOSPITAL, List.of(), new Spot.DryShelf(), null, RIPE)
                        .refusal())
                .isEmpty();
        assertThat(transfer(WORKING, BROOK, List.of(), hospital, HOSPITAL, RIPE).refusal())
                .as("the way in is open")
                .isEmpty();
    }

    @Test
    void what_was_thrown_away_stays_away() {
        assertThat(transfer(new Spot.Gone(), null, List.of(), NURSERY, NEW, RIPE)
                        .refusal())
                .contains("It was thrown away.");
    }

    @Test
    void dead_media_other_water_and_a_treated_tank_are_told_of() {
        Worth dried = new Worth(State.DEAD, 0, Optional.of(Death.DRIED), Optional.empty());
        Living reef = tank("Reef", WaterKind.MARINE, false);
        Living ill = tank("Nursery", WaterKind.FRESH, false, new Medication(TODAY, Optional.empty()));

        assertThat(transfer(new Spot.DryShelf(), null, List.of(), NURSERY, NEW, dried)
                        .advice())
                .containsExactly("It dried out. It counts as new: rinse it, and give it weeks to settle.");
        assertThat(transfer(WORKING, BROOK, List.of(), NURSERY, reef, RIPE).advice())
                .singleElement()
                .asString()
                .contains("sea water");
        assertThat(transfer(WORKING, BROOK, List.of(), NURSERY, ill, RIPE).advice())
                .last()
                .asString()
                .startsWith("Nursery is under treatment");
    }

    @Test
    void a_shelf_costs_bacteria_and_says_how_many() {
        assertThat(transfer(WORKING, BROOK, List.of(), new Spot.WetShelf(), null, RIPE)
                        .advice())
                .singleElement()
                .asString()
                .contains("Half of its bacteria are lost in three days");
        assertThat(transfer(WORKING, BROOK, List.of(), new Spot.DryShelf(), null, RIPE)
                        .advice())
                .singleElement()
                .asString()
                .contains("Dried, its bacteria die");
    }

    @Test
    void within_its_tank_it_takes_nothing_from_it() {
        Transfer transfer = transfer(WORKING, BROOK, List.of(AMMONIA), new Spot.InFilter(1, 11), BROOK, RIPE);

        assertThat(transfer.takesFromDonor()).isFalse();
        assertThat(transfer.holds()).isEmpty();
        assertThat(transfer.gap("Weir")).isPresent();
        assertThat(transfer(new Spot.DryShelf(), null, List.of(), NURSERY, NEW, RIPE)
                        .gap(""))
                .isEmpty();
    }
}
