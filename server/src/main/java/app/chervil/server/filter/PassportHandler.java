package app.chervil.server.filter;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What is known of how a filter is built, stored whole. */
@MappedTypes(PassportInput.class)
public class PassportHandler extends JsonHandler<PassportInput> {
    /** Made by the database layer. */
    public PassportHandler() {
        super(PassportInput.class, Names.FIELDS);
    }
}
