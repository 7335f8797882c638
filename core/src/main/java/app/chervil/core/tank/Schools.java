package app.chervil.core.tank;

/** The practices a keeper chose where competent keepers disagree. */
public record Schools(OpeningSchool opening, SockSchool sock) {
    /** What a new tank starts with: led by condition, socks for clarity. */
    public static final Schools DEFAULT = new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY);
}
