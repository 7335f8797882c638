package app.chervil.core.device;

import java.time.Duration;

/** What a device is, where it is fitted and what it may say. */
public enum DeviceKind {
    /** Water through a filter, in litres an hour. */
    FLOW("Flow meter", "L/h", Place.FILTER, 0, 50_000, Duration.ofHours(1)),
    /** 1 while wet, 0 while dry. */
    LEAK("Leak sensor", "", Place.TANK, 0, 1, Duration.ofHours(26)),
    /** Watts that a filter's pump takes. */
    PLUG("Switching plug", "W", Place.FILTER, 0, 5_000, Duration.ofHours(1)),
    /** Water temperature in °C. */
    TEMPERATURE("Temperature probe", "°C", Place.TANK, -5, 60, Duration.ofHours(2)),
    /** 1 while the water stands below its line, 0 while it covers it. */
    LEVEL("Level switch", "", Place.TANK, 0, 1, Duration.ofHours(26)),
    /** Hours a lamp has burnt since the counter began. */
    LAMP("Lamp-hour counter", "h", Place.STAGE, 0, 200_000, Duration.ofHours(50)),
    /** 1 at each press. */
    BUTTON("Button", "", Place.STAGE, 1, 1, Duration.ofDays(400));

    private final String words;
    private final String unit;
    private final Place place;
    private final double least;
    private final double most;
    private final Duration quietAfter;

    /** What a device is fitted to. */
    public enum Place {
        TANK,
        FILTER,
        STAGE
    }

    DeviceKind(String words, String unit, Place place, double least, double most, Duration quietAfter) {
        this.words = words;
        this.unit = unit;
        this.place = place;
        this.least = least;
        this.most = most;
        this.quietAfter = quietAfter;
    }

    /** What a keeper calls it. */
    public String words() {
        return words;
    }

    /** Unit of its readings; empty for switches. */
    public String unit() {
        return unit;
    }

    public Place place() {
        return place;
    }

    /** The least that it can read. */
    public double least() {
        return least;
    }

    /** The most that it can read. */
    public double most() {
        return most;
    }

    /** Whether a reading can be; anything else is absurd. */
    public boolean accepts(double value) {
        return value >= least && value <= most;
    }

    /** How long it may say nothing before it counts as silent, unless its keeper says otherwise. */
    public Duration quietAfter() {
        return quietAfter;
    }
}
