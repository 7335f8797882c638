package app.chervil.server.archive;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Numbers to be stored, handed to a statement as JSON. */
@MappedTypes(NumberedRows.class)
public class NumberedHandler extends JsonHandler<NumberedRows> {
    /** Made by the database layer. */
    public NumberedHandler() {
        super(NumberedRows.class, Names.COLUMNS);
    }
}
