package app.chervil.server.chore;

import app.chervil.server.chore.ChoreMapper.ChoreDays.Done;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** The days that a statement gathered for each chore. */
@MappedTypes(Done.class)
public class DoneHandler extends JsonHandler<Done> {
    /** Made by the database layer. */
    public DoneHandler() {
        super(Done.class, Names.COLUMNS);
    }
}
