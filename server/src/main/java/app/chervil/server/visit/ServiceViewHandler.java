package app.chervil.server.visit;

import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** What a service said before it was corrected. */
@MappedTypes(ServiceView.class)
public class ServiceViewHandler extends JsonHandler<ServiceView> {
    /** Made by the database layer. */
    public ServiceViewHandler() {
        super(ServiceView.class, Names.FIELDS);
    }
}
