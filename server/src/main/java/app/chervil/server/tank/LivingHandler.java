package app.chervil.server.tank;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Animals of a tank as a list of their names. */
@MappedTypes(Living.class)
public class LivingHandler extends JsonHandler<Living> {
    /** Made by the database layer. */
    public LivingHandler() {
        super(Living.class, Names.FIELDS);
    }
}
