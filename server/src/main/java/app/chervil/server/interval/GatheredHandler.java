package app.chervil.server.interval;

import app.chervil.server.interval.CareMapper.Gathered;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of looks, pauses and grades. */
@MappedTypes(Gathered.class)
public class GatheredHandler extends JsonHandler<Gathered> {
    /** Made by the database layer. */
    public GatheredHandler() {
        super(Gathered.class, Names.COLUMNS);
    }
}
