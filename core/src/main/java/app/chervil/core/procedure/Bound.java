package app.chervil.core.procedure;

import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.core.calc.Units;
import app.chervil.core.filter.Material;
import app.chervil.core.procedure.Handled.Tray;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Step.About;
import app.chervil.core.procedure.Step.Effect;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;

/** A template bound to the stage and task it is done for, or to the tray that is lifted. */
record Bound(Template template, Optional<PathStage> stage, Optional<Tray> tray, OptionalLong task) {
    static Bound common(Template template) {
        return new Bound(template, Optional.empty(), Optional.empty(), OptionalLong.empty());
    }

    /** Work of a task; on a stage, or on the whole filter. */
    static Bound working(Template template, Optional<PathStage> stage, long task) {
        return new Bound(template, stage, Optional.empty(), OptionalLong.of(task));
    }

    /** What is done to a stage that is in the way. */
    static Bound resting(Template template, PathStage stage) {
        return new Bound(template, Optional.of(stage), Optional.empty(), OptionalLong.empty());
    }

    /** What is done to a tray. */
    static Bound lifting(Template template, Tray tray) {
        return new Bound(template, Optional.empty(), Optional.of(tray), OptionalLong.empty());
    }

    /**
     * What words are filled in with.
     *
     * @param drawnLitres taken from the tank for rinsing, and vacuumed off
     */
    record Fillings(Situation situation, Tubs tubs, double drawnLitres, double vacuumLitres) {
        boolean tap() {
            return situation.practice().tapAllowed();
        }

        private Units units() {
            return situation.means().units();
        }

        String fill(String text) {
            return text.replace("{filter}", situation.filterName())
                    .replace("{first}", tap() || tubs.count() > 0 ? tubs.first(tap()) : "")
                    .replace("{second}", tubs.second())
                    .replace("{cleanest}", tap() || tubs.count() > 0 ? tubs.cleanest(tap()) : "")
                    .replace("{bio}", tubs.count() == 0 ? "tank water" : tubs.bioTub())
                    .replace("{draw}", tubs.count() == 0 ? "" : tubs.drawn(tap(), situation.means()))
                    .replace("{vacuum}", atMost(vacuumLitres))
                    .replace("{media}", media(situation));
        }

        /** A volume that is not to be passed: whole from ten on, tenths below. */
        private String atMost(double litres) {
            Unit unit = units().of(Quantity.VOLUME);
            double shown = unit.shown(litres);
            double tidy = shown >= 10 ? Math.floor(shown) : Math.floor(shown * 10) / 10;
            return units().say(Quantity.VOLUME, unit.stored(tidy));
        }
    }

    private String subject() {
        return stage.map(one -> Long.toString(one.id()))
                .or(() -> tray.map(one -> "place-" + one.number()))
                .orElse("filter");
    }

    String id() {
        return template.together() || concernsFilter() ? template.code() : template.code() + ":" + subject();
    }

    /** Shutting water off, opening a lamp bay and the like are done once, whatever is worked on behind them. */
    private boolean concernsFilter() {
        return switch (template.phase()) {
            case COOL, LAMP_OPEN, LAMP_SHUT -> true;
            case LAMP_OUT, LAMP_IN, SLEEVE_OUT, SLEEVE_IN ->
                template.words().text().indexOf("{stage") < 0;
            default -> false;
        };
    }

    /** Parts go out in the order a hand meets them and back in the reverse; other work follows the water. */
    int rank(Handled hands) {
        Optional<Integer> rank = stage.map(hands::rank).or(() -> tray.map(Tray::rank));
        return switch (template.phase()) {
            case TAKE_OUT -> rank.orElse(-1);
            case PUT_BACK -> -rank.orElse(1);
            default -> stage.map(hands.situation().path()::indexOf).orElse(-1);
        };
    }

    /**
     * The step in words.
     *
     * @param together all stages that this step serves, itself among them
     */
    Step step(Fillings fillings, List<String> together) {
        String pattern = template.words().text();
        boolean pours = fillings.tubs().pours(fillings.tap())
                && (pattern.contains("{first}") || pattern.contains("{cleanest}"));
        double drawn =
                switch (template.phase()) {
                    case DRAW -> fillings.drawnLitres();
                    case VACUUM -> fillings.vacuumLitres();
                    default -> 0;
                };
        return new Step(
                id(),
                new Step.Words(text(fillings, together), reason(fillings.situation())),
                together.size() > 1 || concernsFilter() ? About.ALL : about(fillings),
                pours ? template.care().with(Material.BUCKET) : template.care(),
                template.captures(),
                template.effects(),
                drawn);
    }

    private String text(Fillings fillings, List<String> together) {
        boolean scooped = scooped(fillings.situation());
        String text = fillings.fill(template.words()
                .text()
                .replace("{lifted}", scooped ? "Scoop the {stage} out" : "Lift the {stage} out in its tray or bag")
                .replace(
                        "{dipped}",
                        scooped
                                ? "Swirl the {stage} in {bio} by hand, gently"
                                : "Dip the {stage} in {bio}, in its tray or bag, gently")
                .replace(
                        "{laidBack}",
                        scooped
                                ? "Spoon the {stage} back and level it"
                                : "Put the {stage} back and press it down until it stops")
                .replace("{stages}", listed(together))
                .replace("{place}", tray.map(Tray::name).orElse(""))
                .replace("{stage}", stage.map(PathStage::name).orElse("filter")));
        return isMany() && (template.phase() == Phase.TAKE_OUT || template.phase() == Phase.PUT_BACK)
                ? text + " There are " + stage.map(PathStage::quantity).orElse(1) + "."
                : text;
    }

    private String reason(Situation situation) {
        String pattern = template.words().text();
        boolean rinses = pattern.contains("{first}") || pattern.contains("{draw}");
        return rinses && template.words().reason().isEmpty()
                ? situation.practice().whyWater()
                : template.words().reason();
    }

    private About about(Fillings fillings) {
        return new About(
                task,
                stage.map(one -> OptionalLong.of(one.id())).orElse(OptionalLong.empty()),
                tray.map(one -> OptionalInt.of(one.number())).orElse(OptionalInt.empty()),
                tub(fillings));
    }

    /** Whether several of the same make up the stage. */
    private boolean isMany() {
        return stage.filter(one -> one.quantity() > 1).isPresent();
    }

    /** Whether it lies loose in a part of the housing, so that nothing lifts it but a hand. */
    private boolean scooped(Situation situation) {
        return stage.map(situation.path()::indexOf)
                .filter(situation.passport()::liesLooseInTheHousing)
                .isPresent();
    }

    /** The tub that something goes into when it comes out. */
    private OptionalInt tub(Fillings fillings) {
        boolean bio = template.effects().contains(Effect.BIO_OUT);
        boolean dirty = template.effects().contains(Effect.DIRT_OUT);
        Tubs tubs = fillings.tubs();
        if (bio && tubs.count() > 0) {
            return OptionalInt.of(tubs.count());
        }
        return dirty && tubs.hasOneForFoam(fillings.tap()) ? OptionalInt.of(1) : OptionalInt.empty();
    }

    private static String media(Situation situation) {
        OptionalDouble grams = situation.work().mediaGrams();
        return grams.isPresent()
                ? "the planned " + situation.means().units().say(Quantity.MASS, grams.getAsDouble())
                : "no more than the share allowed for this tank's age";
    }

    private static String listed(List<String> names) {
        int last = names.size() - 1;
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }
}
