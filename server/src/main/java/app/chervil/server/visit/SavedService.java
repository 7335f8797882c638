package app.chervil.server.visit;

import app.chervil.core.interval.Window;
import java.util.List;

/**
 * A service just stored, and what it moved.
 *
 * @param moved tasks whose window changed, those done first
 * @param twins services by others on the same day that share a task with it
 */
public record SavedService(ServiceView service, List<Moved> moved, List<ServiceView> twins) {
    /**
     * A task whose window moved.
     *
     * @param reasons of the new window
     */
    public record Moved(long taskId, String name, Span before, Span after, List<String> reasons) {}

    /** A window and the days from the last service to its ideal day. */
    public record Span(Window window, long intervalDays) {}
}
