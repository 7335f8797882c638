package app.chervil.server.device;

import app.chervil.server.device.FittedMapper.AtWork;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a statement gathered of devices. */
@MappedTypes(AtWork.class)
public class AtWorkHandler extends JsonHandler<AtWork> {
    /** Made by the database layer. */
    public AtWorkHandler() {
        super(AtWork.class, Names.COLUMNS);
    }
}
