package app.chervil.server.procedure;

import app.chervil.core.site.Filter;
import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteMemory;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.tank.TankOperations;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Guided services as they are on file, and as they are shown. */
@Component
class GuidedFile {
    private final GuidedMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final GuidedLine line;
    private final SiteMemory memory;

    GuidedFile(
            GuidedMapper mapper, FilterOperations filters, TankOperations tanks, GuidedLine line, SiteMemory memory) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.line = line;
        this.memory = memory;
    }

    /**
     * One as it is stored.
     *
     * @throws NotFound if the site has no such service
     */
    GuidedRow row(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("guided service"));
    }

    /**
     * One that nobody else adds to or ends until this transaction is over.
     *
     * @throws NotFound if the site has no such service
     */
    GuidedRow locked(SignedIn who, UUID id) {
        return mapper.findLocked(who.siteId(), id).orElseThrow(() -> new NotFound("guided service"));
    }

    /** Services in progress, and finished ones whose filter is still off, of filters and tanks in use; oldest first. */
    List<GuidedView> listOpen(SignedIn who) {
        return memory.recall(who.siteId(), GuidedView.class, () -> open(who));
    }

    private List<GuidedView> open(SignedIn who) {
        List<GuidedRow> open = mapper.listOpen(who.siteId());
        if (open.isEmpty()) {
            return List.of();
        }
        Map<Long, Filter> byFilter =
                filters.list(who, null).stream().collect(Collectors.toMap(Filter::id, Function.identity()));
        Map<Long, Tank> byTank = tanks.list(who).stream().collect(Collectors.toMap(Tank::id, Function.identity()));
        return open.stream()
                .flatMap(row -> {
                    @Nullable Filter filter = byFilter.get(row.filterId());
                    @Nullable Tank tank = byTank.get(row.tankId());
                    return filter == null || tank == null
                            ? Stream.<GuidedView>empty()
                            : Stream.of(view(who, row, tank, filter));
                })
                .toList();
    }

    GuidedView view(SignedIn who, GuidedRow row) {
        return view(who, row, tanks.find(who, row.tankId()), filters.find(who, row.filterId()));
    }

    private GuidedView view(SignedIn who, GuidedRow row, Tank tank, Filter filter) {
        return new GuidedView(
                row.id(),
                new GuidedView.Place(row.tankId(), tank.name(), filter.id(), filter.name()),
                row.steps().steps(),
                mapper.listEvents(who.siteId(), row.id()),
                row.startedAt(),
                row.offSince(),
                row.finishedAt(),
                GuidedView.Inside.of(filter),
                row.occasion(),
                line.coming(who, row));
    }
}
