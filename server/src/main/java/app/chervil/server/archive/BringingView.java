package app.chervil.server.archive;

import java.time.Instant;
import java.util.List;

/**
 * What an archive brings in, or brought.
 *
 * @param site name of the site it is of
 * @param own whether it is of this very site
 * @param tanks all that are in it
 * @param counts of what was chosen, by what it is; what there is none of is left out
 * @param faultCount rows that stay out
 * @param faults the first of them
 */
record BringingView(
        String site,
        Instant made,
        boolean own,
        List<BringingTank> tanks,
        List<BringingCount> counts,
        int faultCount,
        List<BringingFault> faults) {
    /** How a tank of an archive stands here. */
    enum Standing {
        NEW,
        /** Its log comes along, its settings stay as they are here. */
        HERE,
        /** It comes back. */
        DELETED_HERE
    }

    /**
     * A tank of an archive.
     *
     * @param id its number there
     * @param deleted whether it was deleted there
     */
    record BringingTank(
            long id,
            String name,
            boolean deleted,
            Standing standing,
            boolean chosen,
            int services,
            int readings,
            int photos) {}

    /**
     * Rows of one kind.
     *
     * @param brought what is new here
     * @param there what is here already
     */
    record BringingCount(ArchiveTable what, int brought, int there) {}

    /**
     * A row that stays out.
     *
     * @param file of the archive
     * @param line the first is 1
     * @param field column at fault; empty for the whole row
     */
    record BringingFault(String file, int line, String field, String words) {}
}
