package app.chervil.server.plan;

import app.chervil.core.agenda.Agenda;
import app.chervil.core.agenda.Gathering;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.people.TimeOperations;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is to be planned, by whom: gathered from the site's picture and its people. */
@Component
class Agendas {
    private final SiteBooks books;
    private final TimeOperations time;

    Agendas(SiteBooks books, TimeOperations time) {
        this.books = books;
        this.time = time;
    }

    /** @param before the plan that was in force, whose work keeps its name */
    Agenda of(SignedIn who, Optional<Known> before) {
        return Gathering.of(books.site(who), time.people(who), before.map(earlier -> earlier.standing()
                .agenda()));
    }
}
