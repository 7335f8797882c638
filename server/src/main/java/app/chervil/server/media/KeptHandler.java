package app.chervil.server.media;

import app.chervil.server.media.PieceMapper.Kept;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of a site's media. */
@MappedTypes(Kept.class)
public class KeptHandler extends JsonHandler<Kept> {
    /** Made by the database layer. */
    public KeptHandler() {
        super(Kept.class, Names.COLUMNS);
    }
}
