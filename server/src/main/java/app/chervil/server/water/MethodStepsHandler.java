package app.chervil.server.water;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Timed steps of a method. */
@MappedTypes(MethodSteps.class)
public class MethodStepsHandler extends JsonHandler<MethodSteps> {
    /** Made by the database layer. */
    public MethodStepsHandler() {
        super(MethodSteps.class, Names.FIELDS);
    }
}
