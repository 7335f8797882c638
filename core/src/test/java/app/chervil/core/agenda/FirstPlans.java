package app.chervil.core.agenda;

import static app.chervil.core.site.SampleSite.TODAY;

import app.chervil.core.agenda.People.Person;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.site.SampleSite;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Sites with their first plans; today is a Monday. */
final class FirstPlans {
    static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");

    private FirstPlans() {}

    /** One keeper with so many minutes on each day of the week. */
    static People people(Integer... minutes) {
        return new People(
                List.of(new Person(1, "Ada", Hands.KEEPER, List.of(minutes))), false, List.of(), People.USUALLY_KEEPER);
    }

    /** One tank with a canister. */
    static SampleSite brook() {
        return SampleSite.today().tank(1, "Brook", "Lab", TODAY.minusDays(10));
    }

    /** So many of those, cleaned on different days; the keeper has time four days a week. */
    static Agenda alike(int tanks) {
        SampleSite site = SampleSite.today();
        for (int i = 1; i <= tanks; i++) {
            site.tank(i, "Brook " + i, "Lab " + i % 4, TODAY.minusDays(10 + i));
        }
        return Gathering.of(site.book(), people(240, 0, 240, 0, 240, 240, 0));
    }

    /** The keeper has an hour and a half on Wednesdays and Saturdays. */
    static Agenda agenda(SampleSite site) {
        return Gathering.of(site.book(), people(0, 0, 90, 0, 0, 90, 0));
    }

    static Standing first(SampleSite site) {
        return first(agenda(site));
    }

    static Standing first(Agenda agenda) {
        return new Replanning(Optional.empty(), List.of()).of(agenda, 8, NOW);
    }
}
