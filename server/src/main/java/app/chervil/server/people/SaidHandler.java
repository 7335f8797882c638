package app.chervil.server.people;

import app.chervil.server.people.TimeMapper.Said;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of people's time. */
@MappedTypes(Said.class)
public class SaidHandler extends JsonHandler<Said> {
    /** Made by the database layer. */
    public SaidHandler() {
        super(Said.class, Names.COLUMNS);
    }
}
