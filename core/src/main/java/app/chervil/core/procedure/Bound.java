package app.chervil.core.procedure;

import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Step.About;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/** A template bound to the stage and task it is done for. */
record Bound(Template template, Optional<PathStage> stage, OptionalLong task) {
    private static final String[] COUNTS = {"no bucket", "one bucket", "two buckets", "three buckets"};

    static Bound common(Template template) {
        return new Bound(template, Optional.empty(), OptionalLong.empty());
    }

    String subject() {
        return stage.map(one -> Long.toString(one.id())).orElse("filter");
    }

    String id() {
        return template.together() || concernsFilter() ? template.code() : template.code() + ":" + subject();
    }

    /** Opening and shutting a lamp bay is done once, whatever is renewed in it. */
    private boolean concernsFilter() {
        return switch (template.phase()) {
            case LAMP_OPEN, LAMP_SHUT -> true;
            default -> false;
        };
    }

    boolean isRinse() {
        return switch (template.phase()) {
            case RINSE_FIRST, RINSE_SECOND, RINSE_LAST -> true;
            default -> false;
        };
    }

    /** Place in the water path; what concerns the whole filter comes first in its phase, and the clean stays for last. */
    int place(Situation situation) {
        return stage.map(situation.path()::indexOf).orElse(-1);
    }

    /**
     * The step in words.
     *
     * @param together all stages that this step serves, itself among them
     */
    Step step(Situation situation, int buckets, List<String> together) {
        String water = situation.practice().tapAllowed() ? "tap water" : "tank water";
        String text = template.words()
                .text()
                .replace("{stages}", listed(together))
                .replace("{stage}", stage.map(PathStage::name).orElse("filter"))
                .replace("{filter}", situation.filterName())
                .replace("{water}", water)
                .replace("{media}", media(situation))
                .replace("{buckets}", COUNTS[buckets]);
        boolean namesWater = template.words().text().contains("{water}");
        String reason = namesWater && template.words().reason().isEmpty()
                ? situation.practice().whyWater()
                : template.words().reason();
        OptionalLong ofStage = stage.map(one -> OptionalLong.of(one.id())).orElse(OptionalLong.empty());
        About about = together.size() > 1 || concernsFilter() ? About.ALL : new About(task, ofStage);
        return new Step(
                id(), new Step.Words(text, reason), about, template.care(), template.captures(), template.effects());
    }

    private static String media(Situation situation) {
        OptionalDouble grams = situation.work().mediaGrams();
        return grams.isPresent()
                ? "the planned " + Math.round(grams.getAsDouble()) + " g"
                : "no more than the share allowed for this tank's age";
    }

    private static String listed(List<String> names) {
        int last = names.size() - 1;
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }
}
