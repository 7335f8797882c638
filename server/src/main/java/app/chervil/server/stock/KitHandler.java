package app.chervil.server.stock;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a kit holds, stored whole. */
@MappedTypes(Kit.class)
public class KitHandler extends JsonHandler<Kit> {
    /** Made by the database layer. */
    public KitHandler() {
        super(Kit.class, Names.FIELDS);
    }
}
