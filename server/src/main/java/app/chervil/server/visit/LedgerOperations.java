package app.chervil.server.visit;

import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.tank.TankOperations;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every service ever logged on tanks in use: searched and paged in the database. */
@Service
public class LedgerOperations {
    private final ServiceMapper mapper;
    private final WrittenServices services;
    private final TankOperations tanks;

    LedgerOperations(ServiceMapper mapper, WrittenServices services, TankOperations tanks) {
        this.mapper = mapper;
        this.services = services;
        this.tanks = tanks;
    }

    /** One page of what was found. */
    @Transactional(readOnly = true)
    public LedgerView find(SignedIn who, LedgerQuery query) {
        Map<Long, String> names = tanks.list(who).stream().collect(Collectors.toMap(Tank::id, Tank::name));
        List<ServiceView> page = services.views(who, mapper.listFound(who.siteId(), query));
        return new LedgerView(
                mapper.findCount(who.siteId(), query),
                page.stream()
                        .map(service -> new LedgerView.LedgerEntry(
                                Objects.requireNonNull(names.get(service.tankId())), service))
                        .toList());
    }
}
