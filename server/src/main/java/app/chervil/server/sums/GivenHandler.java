package app.chervil.server.sums;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What was given to a sum, stored as an object. */
@MappedTypes(Given.class)
public class GivenHandler extends JsonHandler<Given> {
    /** Made by the database layer. */
    public GivenHandler() {
        super(Given.class, Names.FIELDS);
    }
}
