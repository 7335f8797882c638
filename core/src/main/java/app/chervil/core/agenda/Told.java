package app.chervil.core.agenda;

import java.util.List;

/**
 * The plan that people were told.
 *
 * @param mark of what it rested on: the same mark, the same plan
 * @param weeks planned, 1 to 26
 * @param rough whether it was made in haste, and a better one is to be looked for while nobody waits
 * @param decided what keepers decided since, in words
 */
public record Told(
        String mark, int weeks, PlanState state, List<BookedVisit> visits, boolean rough, List<String> decided) {
    public Told {
        visits = List.copyOf(visits);
        decided = List.copyOf(decided);
    }

    /**
     * Other days, by a keeper's decision; they are planned around at the next question.
     *
     * @param decision names the decision, unlike all before it
     */
    public Told decided(PlanState other, String decision, String words) {
        return new Told(decision, weeks, other, visits, rough, List.of(words));
    }
}
