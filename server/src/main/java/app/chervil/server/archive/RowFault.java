package app.chervil.server.archive;

/**
 * Why a row of an archive stays out.
 *
 * @param field column at fault; empty for the row as a whole
 * @param words for people
 */
record RowFault(String field, String words) {
    /** What the database refused: the SQL state, the column and the constraint. */
    static RowFault of(String told) {
        String[] parts = told.split("\\|", -1);
        String column = parts.length > 1 ? parts[1] : "";
        return switch (parts[0]) {
            case "23502" -> new RowFault(column, "It must not be empty.");
            case "23514" -> new RowFault(column, "A value is out of range (" + parts[2] + ").");
            case "23503" -> new RowFault(column, "It refers to something that is not here.");
            case "NO_PICTURE" -> new RowFault("", "Its picture is missing, or is none.");
            default -> new RowFault(column, "A value cannot be kept.");
        };
    }
}
