package app.chervil.server.visit;

import app.chervil.core.site.PastService;
import app.chervil.server.book.ServiceLog;
import app.chervil.server.visit.ServiceRows.PastRow;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The service tables as the site's picture reads them: one statement, however many services. */
@Component
class StoredHistory implements ServiceLog {
    private final ServiceMapper mapper;

    StoredHistory(ServiceMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public List<PastService> list(long site, @Nullable Long tank, @Nullable LocalDate since) {
        return mapper.list(site, tank, since).stream().map(PastRow::service).toList();
    }
}
