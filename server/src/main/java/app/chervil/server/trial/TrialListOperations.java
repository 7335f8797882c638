package app.chervil.server.trial;

import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.stock.ShelfOperations;
import app.chervil.server.stock.TaskCosts;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TrialView.TrialTogether;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What trials say, worked out from the log and the readings at every question. */
@Service
public class TrialListOperations {
    private final TrialMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final TrialTelling telling;
    private final ShelfOperations shelf;

    TrialListOperations(
            TrialMapper mapper,
            FilterOperations filters,
            TankOperations tanks,
            TrialTelling telling,
            ShelfOperations shelf) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.telling = telling;
        this.shelf = shelf;
    }

    /** Trials on tanks in use, those running first, then the latest. */
    @Transactional(readOnly = true)
    public List<TrialView> list(SignedIn who) {
        Map<Long, Tank> inUse = tanks.list(who).stream().collect(Collectors.toMap(Tank::id, Function.identity()));
        Map<Long, Placed> placed = Placed.byTask(filters.list(who, null));
        List<TrialTold> told = mapper.list(who.siteId()).stream()
                .filter(row -> inUse.containsKey(row.tankId()) && placed.containsKey(row.taskId()))
                .map(row -> telling.told(who, row, Objects.requireNonNull(placed.get(row.taskId())), tanks.today()))
                .toList();
        Map<UUID, TrialTogether> together = told.stream()
                .filter(one -> one.row().together() != null)
                .collect(Collectors.groupingBy(
                        one -> Objects.requireNonNull(one.row().together()),
                        Collectors.collectingAndThen(
                                Collectors.toList(), all -> Objects.requireNonNull(TrialTold.together(all)))));
        TaskCosts costs = shelf.costs(who);
        return told.stream()
                .map(one -> one.view(
                        Objects.requireNonNull(inUse.get(one.row().tankId())).name(),
                        Objects.requireNonNull(placed.get(one.row().taskId())).task(),
                        costs.of(one.row().taskId()),
                        one.row().together() == null
                                ? null
                                : together.get(one.row().together())))
                .sorted(Comparator.comparing(TrialView::state))
                .toList();
    }
}
