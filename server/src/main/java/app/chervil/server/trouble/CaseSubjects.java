package app.chervil.server.trouble;

import app.chervil.core.site.CareBook;
import app.chervil.core.site.Filter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a case is about: a filter, what is known of it, and what usually ails such filters here. */
@Component
class CaseSubjects {
    private final FilterOperations filters;
    private final SiteBooks books;
    private final RateOperations rates;

    CaseSubjects(FilterOperations filters, SiteBooks books, RateOperations rates) {
        this.filters = filters;
        this.books = books;
        this.rates = rates;
    }

    /**
     * A filter in use, as the site's book has it.
     *
     * @throws NotFound if the site has no such filter in use
     */
    CareBook of(SignedIn who, long filter) {
        return inUse(who, filters.find(who, filter).tankId(), filter).orElseThrow(() -> new NotFound("filter"));
    }

    /** The same where its tank is known; empty if the filter is in use no more. */
    Optional<CareBook> inUse(SignedIn who, long tank, long filter) {
        return books.tank(who, tank).filters().stream()
                .filter(book -> book.filter().id() == filter)
                .findFirst();
    }

    /** @throws NotFound if the site has no such filter */
    Filter filter(SignedIn who, long filter) {
        return filters.find(who, filter);
    }

    /** How likely each cause is here before anything is asked, by its id. */
    Map<String, Double> weights(SignedIn who) {
        return rates.weights(who);
    }
}
