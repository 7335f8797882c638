package app.chervil.server.account;

/**
 * What it takes to ask for one operation.
 *
 * @param path with its variables in braces, as the API document has it
 * @param deed what a person did then, after their name; empty if it is not kept
 * @param relation table of which a helper must have written the row; empty but for {@link Least#AUTHOR}
 */
record Right(String method, String path, Least least, String deed, String relation) {
    /** The least that somebody must be. */
    enum Least {
        /** Nobody needs to be known. */
        ANYBODY,
        /** Signed in, on whatever site. */
        PERSON,
        VIEWER,
        HELPER,
        /** A helper who wrote it, or a keeper. */
        AUTHOR,
        KEEPER
    }

    /** By which the log of deeds knows it. */
    String key() {
        return method + ' ' + path;
    }
}
