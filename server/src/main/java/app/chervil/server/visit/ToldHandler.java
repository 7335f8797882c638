package app.chervil.server.visit;

import app.chervil.server.storage.JsonHandler;
import app.chervil.server.visit.ServiceRows.Told;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of each service. */
@MappedTypes(Told.class)
public class ToldHandler extends JsonHandler<Told> {
    /** Made by the database layer. */
    public ToldHandler() {
        super(Told.class, Names.COLUMNS);
    }
}
