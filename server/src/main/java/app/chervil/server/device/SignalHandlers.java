package app.chervil.server.device;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** How readings are handed to a statement: as JSON. */
public final class SignalHandlers {
    private SignalHandlers() {}

    /** Readings to be stored. */
    @MappedTypes(ReadingRows.class)
    public static class OfReadings extends JsonHandler<ReadingRows> {
        /** Made by the database layer. */
        public OfReadings() {
            super(ReadingRows.class, Names.COLUMNS);
        }
    }

    /** What they come to. */
    @MappedTypes(SumRows.class)
    public static class OfSums extends JsonHandler<SumRows> {
        /** Made by the database layer. */
        public OfSums() {
            super(SumRows.class, Names.COLUMNS);
        }
    }
}
