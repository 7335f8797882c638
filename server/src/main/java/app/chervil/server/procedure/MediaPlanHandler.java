package app.chervil.server.procedure;

import app.chervil.server.storage.JsonHandler;
import app.chervil.server.water.MediaOperations.MediaPlan;
import org.apache.ibatis.type.MappedTypes;

/** Media to be exchanged along with a guided service. */
@MappedTypes(MediaPlan.class)
public class MediaPlanHandler extends JsonHandler<MediaPlan> {
    /** Made by the database layer. */
    public MediaPlanHandler() {
        super(MediaPlan.class, Names.FIELDS);
    }
}
