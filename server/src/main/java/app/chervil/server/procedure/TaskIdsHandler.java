package app.chervil.server.procedure;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Tasks of a guided service, stored as a list of their numbers. */
@MappedTypes(TaskIds.class)
public class TaskIdsHandler extends JsonHandler<TaskIds> {
    /** Made by the database layer. */
    public TaskIdsHandler() {
        super(TaskIds.class, Names.FIELDS);
    }
}
