package app.chervil.server.tank;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** The changes that a statement gathered for each tank. */
@MappedTypes(Changes.class)
public class ChangesHandler extends JsonHandler<Changes> {
    /** Made by the database layer. */
    public ChangesHandler() {
        super(Changes.class, Names.COLUMNS);
    }
}
