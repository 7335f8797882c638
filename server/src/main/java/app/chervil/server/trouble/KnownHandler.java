package app.chervil.server.trouble;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What was known of a filter when its case was opened. */
@MappedTypes(Known.class)
public class KnownHandler extends JsonHandler<Known> {
    /** Made by the database layer. */
    public KnownHandler() {
        super(Known.class, Names.FIELDS);
    }
}
