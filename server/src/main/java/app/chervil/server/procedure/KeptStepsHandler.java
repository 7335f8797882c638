package app.chervil.server.procedure;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Steps of a guided service as they were shown, stored as a list. */
@MappedTypes(KeptSteps.class)
public class KeptStepsHandler extends JsonHandler<KeptSteps> {
    /** Made by the database layer. */
    public KeptStepsHandler() {
        super(KeptSteps.class, Names.FIELDS);
    }
}
