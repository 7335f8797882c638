package app.chervil.server.visit;

import app.chervil.server.storage.JsonHandler;
import app.chervil.server.visit.ServiceRows.Used;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of what each service used. */
@MappedTypes(Used.class)
public class UsedHandler extends JsonHandler<Used> {
    /** Made by the database layer. */
    public UsedHandler() {
        super(Used.class, Names.COLUMNS);
    }
}
