package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.GAS;
import static app.chervil.core.procedure.Caution.GERMS;
import static app.chervil.core.procedure.Caution.SIPHON;
import static app.chervil.core.procedure.Step.Effect.HANDS_IN;
import static app.chervil.core.procedure.Step.Effect.MEDIA_EXCHANGED;
import static app.chervil.core.procedure.Step.Effect.ROCK_BLOWN_OFF;
import static app.chervil.core.procedure.Step.Effect.SUBSTRATE_VACUUMED;
import static app.chervil.core.procedure.Step.Effect.WATER_OUT;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.Material;
import app.chervil.core.procedure.Situation.Chore;
import java.util.List;

/** The steps of work on the tank that touches its filters. */
final class ChoreSteps {
    private static final int SETTLES_MINUTES = 15;

    private ChoreSteps() {}

    static List<Template> of(Chore chore) {
        return switch (chore) {
            case ROCK_BLOW_OFF -> blownOff();
            case BIO_PART_REPLACED -> partReplaced();
            case SUBSTRATE_VACUUM ->
                List.of(step(
                                Phase.VACUUM,
                                "vacuum",
                                "Vacuum the substrate in rows, and pinch the hose to let sand fall back. Stop when {vacuum}"
                                        + " are drained.")
                        .because("What is drained counts as water change, with the water in the tubs.")
                        .mind(SIPHON, GAS)
                        .using(Material.SIPHON, Material.BUCKET)
                        .does(WATER_OUT, SUBSTRATE_VACUUMED));
        };
    }

    private static List<Template> blownOff() {
        return List.of(
                step(Phase.ROCK, "blow", "Blow the detritus off the rock, top to bottom. Leave all pumps running.")
                        .because("What comes loose must reach the mechanical stage.")
                        .using(Material.ROCK_PUMP)
                        .does(ROCK_BLOWN_OFF),
                step(Phase.ROCK, "settle", "Wait until the water begins to clear.")
                        .waiting(SETTLES_MINUTES),
                step(
                                Phase.ROCK,
                                "blow-again",
                                "Blow over the rock a second time, then change the sock or fine pad the same day.")
                        .because("The sock or pad now holds the dirt; left in, it becomes nitrate."));
    }

    private static List<Template> partReplaced() {
        return List.of(
                step(
                                Phase.READ,
                                "bio-read",
                                "Test ammonia and nitrite first. If either is above zero, leave the media for another day.")
                        .because("New media holds no bacteria yet; the rest must carry the tank."),
                step(
                                Phase.RENEW,
                                "bio-new",
                                "Rinse the dust off the new media. Exchange {media}, and put old beside new.")
                        .because("A quarter in a tank under 90 days, half in one over a year, rising between, within 28"
                                + " days and over all its filters.")
                        .mind(GERMS)
                        .using(Material.BIO_MEDIA)
                        .does(HANDS_IN, MEDIA_EXCHANGED),
                step(Phase.RENEW, "bio-old", "Keep the old media wet: it can seed another filter at once."),
                step(
                        Phase.FINISH,
                        "bio-watch",
                        "Test ammonia and nitrite on days 1, 2, 4 and 7, and nitrate weekly for eight weeks."));
    }
}
