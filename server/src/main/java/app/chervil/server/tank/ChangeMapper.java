package app.chervil.server.tank;

import app.chervil.core.tank.ContextChange;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Table context_change. */
@Mapper
interface ChangeMapper {
    List<ChangeRow> list(long site, long tank);

    void insert(long site, long tank, @Nullable Long filter, ContextChange change);

    int deleteArrival(long site, long filter, ContextChange change);
}
