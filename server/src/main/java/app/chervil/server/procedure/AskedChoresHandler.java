package app.chervil.server.procedure;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** Chores of a guided service, stored as a list of their names. */
@MappedTypes(AskedChores.class)
public class AskedChoresHandler extends JsonHandler<AskedChores> {
    /** Made by the database layer. */
    public AskedChoresHandler() {
        super(AskedChores.class, Names.FIELDS);
    }
}
