package app.chervil.core.tank;

/** What a filter sock is kept for; sets how soon it is changed. */
public enum SockSchool {
    NUTRIENT_EXPORT,
    CLARITY
}
