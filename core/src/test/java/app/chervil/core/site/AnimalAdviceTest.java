package app.chervil.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.calc.Units;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.WaterKind;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is said of a tank of 220 L for the sake of those who live in it. */
class AnimalAdviceTest {
    private static Tank tank(Stocking stocking, Animals... animals) {
        Tank usual = SampleSite.tank(1, "Brook", "");
        return new Tank(
                usual.id(),
                usual.version(),
                usual.name(),
                usual.room(),
                usual.netVolumeL(),
                usual.establishedOn(),
                new Tank.Setting(
                        WaterKind.FRESH,
                        stocking,
                        Feeding.NORMAL,
                        BacteriaHome.MEDIA,
                        TapWater.CHLORAMINE,
                        8,
                        0.25,
                        Set.of(animals)),
                usual.practice(),
                usual.quarantine(),
                usual.deletedAt());
    }

    private static Filter weir(double flowLph, StageKind... path) {
        Filter filter = SampleSite.weir(1, LocalDate.of(2026, 1, 1), List.of(path));
        return rated(filter, flowLph);
    }

    private static Filter rated(Filter filter, double flowLph) {
        return new Filter(
                filter.id(),
                filter.tankId(),
                filter.version(),
                filter.name(),
                filter.passport(),
                new Filter.Rating(
                        OptionalDouble.of(flowLph),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()),
                filter.fittedOn(),
                filter.stages(),
                filter.tasks(),
                filter.cleaned());
    }

    private static List<String> advice(Tank tank, Filter... filters) {
        return AnimalAdvice.of(tank, List.of(filters), Units.METRIC);
    }

    @Test
    void of_fish_nothing_is_said() {
        assertThat(advice(tank(Stocking.NORMAL), weir(2000, StageKind.COARSE_FOAM)))
                .isEmpty();
    }

    @Test
    void an_open_intake_takes_the_small() {
        assertThat(advice(tank(Stocking.NORMAL, Animals.FRY), weir(500, StageKind.COARSE_FOAM)))
                .containsExactly(
                        "Weir has no sponge on its intake. Fry and shrimp slip through what is wider than 1 mm.");
        assertThat(advice(
                        tank(Stocking.NORMAL, Animals.FRY),
                        weir(500, StageKind.PREFILTER_SPONGE, StageKind.COARSE_FOAM)))
                .isEmpty();
        assertThat(advice(tank(Stocking.NORMAL, Animals.SEAHORSES), weir(500, StageKind.COARSE_FOAM)))
                .first()
                .asString()
                .endsWith("A tail or a snout can be drawn in.");
    }

    @Test
    void amphibians_want_the_water_turned_over_three_times_an_hour_at_most() {
        Tank pond = tank(Stocking.NORMAL, Animals.AMPHIBIANS);

        assertThat(advice(pond, weir(660, StageKind.COARSE_FOAM))).isEmpty();
        assertThat(advice(pond, weir(670, StageKind.COARSE_FOAM)))
                .singleElement()
                .asString()
                .contains("more than 3");
        assertThat(advice(pond, weir(600, StageKind.COARSE_FOAM), weir(500, StageKind.COARSE_FOAM)))
                .singleElement()
                .asString()
                .contains("turn this tank over 5 times an hour");
    }

    @Test
    void a_medicine_is_asked_about_where_it_can_kill() {
        assertThat(AnimalAdvice.onMedication(Set.of(Animals.SHRIMP, Animals.FRY)))
                .hasValueSatisfying(words -> assertThat(words).contains("copper"));
        assertThat(AnimalAdvice.onMedication(Set.of(Animals.AMPHIBIANS)))
                .hasValueSatisfying(words -> assertThat(words).contains("skin"));
        assertThat(AnimalAdvice.onMedication(Set.of(Animals.TURTLES))).isEmpty();
    }

    @Test
    void shrimp_are_kept_from_copper_and_turtles_counted_for_what_they_eat() {
        assertThat(advice(tank(Stocking.NORMAL, Animals.SHRIMP)))
                .singleElement()
                .asString()
                .contains("copper");
        assertThat(advice(tank(Stocking.NORMAL, Animals.TURTLES)))
                .singleElement()
                .asString()
                .contains("stocking is set to normal");
        assertThat(advice(tank(Stocking.OVER, Animals.TURTLES))).isEmpty();
    }
}
