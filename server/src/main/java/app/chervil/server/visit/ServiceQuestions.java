package app.chervil.server.visit;

import app.chervil.core.interval.Note;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.Asked;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.visit.SavedService.AnswerInput;
import app.chervil.server.visit.SavedService.AskedQuestion;
import app.chervil.server.visit.ServiceRows.AnswerRow;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What services make us ask, and what was answered. */
@Component
class ServiceQuestions {
    private final ServiceMapper mapper;
    private final FilterOperations filters;
    private final Clock clock;

    ServiceQuestions(ServiceMapper mapper, FilterOperations filters, Clock clock) {
        this.mapper = mapper;
        this.filters = filters;
        this.clock = clock;
    }

    /** What a service makes us ask, apart from what was answered already. */
    List<AskedQuestion> of(SignedIn who, ServiceView service, TankBook without, TankBook now) {
        Map<Long, Set<Note>> before = without.filters().stream()
                .collect(Collectors.toMap(book -> book.filter().id(), CareBook::notes));
        Set<Long> tasks = service.taskIds();
        Set<Long> touched =
                service.tasks().stream().map(ServiceView.DoneView::filterId).collect(Collectors.toSet());
        Set<Long> served = new HashSet<>(mapper.listServedFilters(who.siteId(), service.tankId(), service.id()));
        Set<List<Object>> answered = mapper.listAnswers(who.siteId()).stream()
                .filter(answer ->
                        answer.question() == Asked.START || answer.serviceId().equals(service.id()))
                .map(answer -> List.<Object>of(answer.filterId(), answer.question()))
                .collect(Collectors.toSet());
        return now.filters().stream()
                .filter(book -> touched.contains(book.filter().id()))
                .flatMap(book -> Questions.of(
                        book.filter(),
                        book.notes(),
                        before.getOrDefault(book.filter().id(), Set.of()),
                        !served.contains(book.filter().id()),
                        book.gapBefore(service.doneOn(), tasks))
                        .stream())
                .filter(question -> !answered.contains(List.<Object>of(question.filterId(), question.asked())))
                .toList();
    }

    /** Keeps an answer, and what it says of the days before. */
    void keep(SignedIn who, ServiceView service, AnswerInput input) {
        mapper.saveAnswer(
                who.siteId(),
                new AnswerRow(service.id(), input.filterId(), input.asked(), input.answer()),
                clock.instant());
        if (input.asked() == Asked.START) {
            Questions.daysBefore(input.answer())
                    .map(days -> service.doneOn().minusDays(days))
                    .ifPresent(on -> filters.setCleaned(who, input.filterId(), on, Sureness.ABOUT));
        }
    }
}
