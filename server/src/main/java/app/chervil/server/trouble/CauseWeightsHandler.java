package app.chervil.server.trouble;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** How the site’s own cases weighed. */
@MappedTypes(CauseWeights.class)
public class CauseWeightsHandler extends JsonHandler<CauseWeights> {
    /** Made by the database layer. */
    public CauseWeightsHandler() {
        super(CauseWeights.class, Names.FIELDS);
    }
}
