package app.chervil.core.agenda;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.interval.Finding;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.site.SampleSite;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.TankBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Two tanks with a canister each, of which one was served since all was gathered before. */
class GatheringTest {
    private static final People ADA = people(People.USUALLY_KEEPER);
    private static final SiteBook SITE = tanks().book();
    private static final Agenda BEFORE = Gathering.of(SITE, ADA);
    private static final SiteBook SERVED = served();

    private static SampleSite tanks() {
        return SampleSite.today()
                .tank(1, "Brook", "Lab", TODAY.minusDays(10))
                .tank(2, "Eelgrass", "Hall", TODAY.minusDays(40));
    }

    private static People people(Set<String> keeperOnly) {
        return new People(
                List.of(new People.Person(1, "Ada", Hands.KEEPER, List.of(60, 60, 60, 60, 60, 60, 60))),
                false,
                List.of(),
                keeperOnly);
    }

    /** The book as it is once a tank was loaded anew. */
    private static SiteBook served() {
        TankBook brook = tanks().did(1, "Rinse the pre-filter", TODAY.minusDays(1), Finding.HEAVY)
                .book(1);
        List<TankBook> books = new ArrayList<>(SITE.tanks());
        books.replaceAll(book -> book.tank().id() == 1 ? brook : book);
        return new SiteBook(SITE.shared(), books);
    }

    private static List<Chain> chains(Agenda agenda) {
        return agenda.work().values().stream().map(Agenda.Work::chain).toList();
    }

    @Test
    void is_the_same_whether_from_nothing_or_from_what_was_gathered_before() {
        Agenda anew = Gathering.of(SERVED, ADA);
        Agenda renewed = Gathering.of(SERVED, ADA, Optional.of(BEFORE));

        assertThat(renewed).isEqualTo(anew);
        assertThat(renewed.work().keySet())
                .containsExactlyElementsOf(anew.work().keySet());
        assertThat(chains(renewed)).isNotEqualTo(chains(BEFORE));
    }

    @Test
    void takes_a_tank_that_is_as_it_was_from_before() {
        Agenda renewed = Gathering.of(SERVED, ADA, Optional.of(BEFORE));

        assertThat(renewed.gathered().values())
                .filteredOn(BEFORE.gathered()::containsValue)
                .hasSize(1);
    }

    @Test
    void takes_nothing_from_before_once_others_may_do_the_work() {
        Agenda renewed = Gathering.of(SITE, people(Set.of()), Optional.of(BEFORE));

        assertThat(chains(renewed)).allMatch(chain -> chain.work().hands() == Hands.ANYONE);
        assertThat(chains(BEFORE)).anyMatch(chain -> chain.work().hands() == Hands.KEEPER);
    }
}
