package app.chervil.core.tank;

/** Where most of the bacteria of a tank live; sets how much a rinse disturbs. */
public enum BacteriaHome {
    MEDIA,
    SUBSTRATE_AND_ROCK,
    BOTH
}
