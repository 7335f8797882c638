package app.chervil.core.procedure;

import app.chervil.core.passport.OwnStep;
import app.chervil.core.procedure.Procedure.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** The keeper's own steps among those of the catalogue: they come wherever the moment comes that they are tied to. */
final class OwnSteps {
    private OwnSteps() {}

    static List<Step> among(List<Moment> steps, List<OwnStep> own) {
        List<Moment> all = new ArrayList<>(steps);
        for (int number = 0; number < own.size(); number++) {
            OwnStep one = own.get(number);
            OptionalInt place = place(all, one);
            if (place.isPresent()) {
                int at = place.getAsInt();
                Phase phase = all.get(one.before() ? at : at - 1).phase();
                all.add(at, new Moment(phase, step(number, one)));
            }
        }
        return all.stream().map(Moment::step).toList();
    }

    /** Where a step goes; nowhere if its moment does not come in this service. */
    private static OptionalInt place(List<Moment> steps, OwnStep own) {
        Set<Phase> phases = phases(own.moment());
        int first = -1;
        int last = -1;
        for (int i = 0; i < steps.size(); i++) {
            if (phases.contains(steps.get(i).phase())) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        if (first < 0) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(own.before() ? first : last + 1);
    }

    private static Set<Phase> phases(OwnStep.Moment moment) {
        return switch (moment) {
            case DRAW -> Set.of(Phase.DRAW);
            case STOP -> Set.of(Phase.STOP_FIRST, Phase.STOP);
            case SHUT -> Set.of(Phase.SHUT);
            case OPEN -> Set.of(Phase.OPEN);
            case TAKE_OUT -> Set.of(Phase.TAKE_OUT);
            case PUT_BACK -> Set.of(Phase.PUT_BACK);
            case FILL -> Set.of(Phase.FILL_OPEN, Phase.FILL_BY_CAP, Phase.FILL_BY_CAP_ON, Phase.FILL_SELF);
            case LID -> Set.of(Phase.LID);
            case START -> Set.of(Phase.START);
            case HEATER_ON -> Set.of(Phase.HEATER_ON);
        };
    }

    private static Step step(int number, OwnStep own) {
        return new Step(
                "own:" + number,
                new Step.Words(own.words(), "Your own step for this filter."),
                Step.About.ALL,
                Step.Care.NONE,
                Optional.empty(),
                Set.of(),
                0);
    }
}
