package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.Animals;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** What is dangerous in a step, as its words tell, must stand with it as a caution. */
final class CautionInvariants {
    private static final Map<String, Set<Caution>> DANGERS = Map.ofEntries(
            Map.entry("bleach", EnumSet.of(Caution.BLEACH)),
            Map.entry("vinegar", EnumSet.of(Caution.VINEGAR)),
            Map.entry("unplug", EnumSet.of(Caution.ELECTRICITY)),
            Map.entry("plug in", EnumSet.of(Caution.ELECTRICITY)),
            Map.entry("turn the heater", EnumSet.of(Caution.ELECTRICITY)),
            Map.entry("vacuum", EnumSet.of(Caution.SIPHON, Caution.GAS)),
            Map.entry("of tank water", EnumSet.of(Caution.SIPHON)),
            Map.entry("slit near", EnumSet.of(Caution.SHARP)),
            Map.entry("oversize and rinse", EnumSet.of(Caution.SHARP)),
            Map.entry("tip away", EnumSet.of(Caution.HEAVY)),
            Map.entry("carry", EnumSet.of(Caution.HEAVY, Caution.WET_FLOOR)),
            Map.entry("in-line heater", EnumSet.of(Caution.ELECTRICITY)),
            Map.entry("glow", EnumSet.of(Caution.UV_LIGHT)),
            Map.entry("lamp out", EnumSet.of(Caution.MERCURY, Caution.GLASS)),
            Map.entry("sleeve off", EnumSet.of(Caution.GLASS)));

    /** What texts ask for that were read before: the same step stands in thousands of procedures. */
    private static final Map<String, Set<Caution>> READ = new ConcurrentHashMap<>();

    private CautionInvariants() {}

    static void hold(Situation situation, List<Step> steps) {
        for (Step step : steps) {
            String text = step.what().text();
            assertThat(step.care().cautions())
                    .as(text)
                    .containsAll(READ.computeIfAbsent(text, CautionInvariants::askedForBy));
            if (step.effects().contains(Effect.LAMP_BAY_OPENED)) {
                assertThat(step.care().cautions()).as(text).contains(Caution.UV_LIGHT, Caution.GLASS);
            }
        }
        if (ProcedureInvariants.count(steps, Effect.HANDS_IN) > 0) {
            assertThat(steps.stream().flatMap(step -> step.care().cautions().stream()))
                    .contains(
                            situation.keeps(Animals::shedsSalmonella) ? Caution.SALMONELLA : Caution.GERMS,
                            Caution.ELECTRICITY,
                            Caution.WET_FLOOR);
        }
    }

    private static Set<Caution> askedForBy(String text) {
        String read = text.toLowerCase(Locale.ROOT);
        Set<Caution> cautions = EnumSet.noneOf(Caution.class);
        DANGERS.forEach((word, asked) -> {
            if (read.contains(word)) {
                cautions.addAll(asked);
            }
        });
        return cautions;
    }
}
