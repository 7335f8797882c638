package app.chervil.server.book;

import app.chervil.core.interval.Look;
import app.chervil.core.site.Change;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterFault;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.PastService;
import app.chervil.core.site.Pause;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TankDevices;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.book.ChoreLog.Chores;
import app.chervil.server.book.WaterLog.Water;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What one statement a table answered for some tanks, sorted by tank.
 *
 * @param looks by stage
 */
record Loading(
        Map<Long, List<Filter>> filters,
        Map<Long, List<Change>> changes,
        Map<Long, List<PastService>> services,
        Map<Long, List<Look>> looks,
        Map<Long, List<Pause>> pauses,
        Map<Long, Water> waters,
        Map<Long, Chores> chores,
        Map<Long, List<FilterFault>> faults,
        Map<Long, TankDevices> devices) {

    TankBook book(Tank tank, SiteBook.Shared shared) {
        return new TankBook(records(tank), shared);
    }

    private TankBook.Records records(Tank tank) {
        long id = tank.id();
        List<Filter> ofTank = filters.getOrDefault(id, List.of());
        Water water = Objects.requireNonNull(waters.get(id));
        Chores work = chores.getOrDefault(id, Chores.NONE);
        return new TankBook.Records(
                tank,
                ofTank,
                changes.getOrDefault(id, List.of()),
                services.getOrDefault(id, List.of()),
                seen(ofTank),
                pauses.getOrDefault(id, List.of()),
                water.book(),
                aside(water, work),
                work.planned(),
                water.changed(),
                faults.getOrDefault(id, List.of()),
                devices.getOrDefault(id, TankDevices.NONE));
    }

    private Map<Long, List<Look>> seen(List<Filter> ofTank) {
        return ofTank.stream()
                .flatMap(filter -> filter.stages().stream())
                .filter(stage -> looks.containsKey(stage.id()))
                .collect(Collectors.toMap(FilterStage::id, stage -> looks.getOrDefault(stage.id(), List.of())));
    }

    private static List<Earlier> aside(Water water, Chores work) {
        return Stream.concat(water.aside().stream(), work.aside().stream()).toList();
    }
}
