package app.chervil.server.filter;

import app.chervil.server.filter.FilterRow.Path;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** The stages and tasks that a statement gathered for each filter. */
@MappedTypes(Path.class)
public class PathHandler extends JsonHandler<Path> {
    /** Made by the database layer. */
    public PathHandler() {
        super(Path.class, Names.COLUMNS);
    }
}
