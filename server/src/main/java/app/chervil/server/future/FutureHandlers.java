package app.chervil.server.future;

import app.chervil.server.future.FutureMapper.Ways;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** How comparisons are stored. */
public final class FutureHandlers {
    private FutureHandlers() {}

    /** What was asked, stored whole. */
    @MappedTypes(FutureInput.class)
    public static class OfInput extends JsonHandler<FutureInput> {
        /** Made by the database layer. */
        public OfInput() {
            super(FutureInput.class, Names.FIELDS);
        }
    }

    /** What ways bring, stored as a list. */
    @MappedTypes(Ways.class)
    public static class OfWays extends JsonHandler<Ways> {
        /** Made by the database layer. */
        public OfWays() {
            super(Ways.class, Names.FIELDS);
        }
    }
}
