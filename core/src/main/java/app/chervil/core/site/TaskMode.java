package app.chervil.core.site;

/** What a keeper made of a task: left to learn, fixed, or switched off. */
public enum TaskMode {
    LEARN,
    FIXED,
    OFF
}
