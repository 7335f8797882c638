package app.chervil.core.tank;

import app.chervil.core.calc.Check;

/** Work on the tank itself that comes round, with how often it starts out; origin: docs/sources.md#care-catalogue. */
public enum TankChore {
    WATER_CHANGE("water change", 7, 3, 28, 25, 0),
    SUBSTRATE_VACUUM("vacuum the substrate", 14, 7, 42, 20, 2),
    ROCK_BLOW_OFF("blow detritus off the rock", 7, 3, 30, 10, 1),
    LIGHTS_AND_COVERS("wipe and check lights, covers, heater", 30, 14, 90, 10, 0),
    SKIMMER_CUP("empty the skimmer cup", 4, 1, 10, 5, 0),
    TOP_OFF("refill the top-off reserve", 7, 1, 21, 5, 0),
    PLANT_TRIM("trim roots and growth", 30, 14, 90, 10, 0),
    AIR_PUMP("clean the air pump, test its valve", 120, 60, 365, 5, 0),
    /** Of an exchange of media in portions, which puts it into the plan and takes it out again. */
    MEDIA_PORTION("replace the next portion of the bio media", 28, 28, 28, 20, 3);

    private final String words;
    private final int startDays;
    private final int leastDays;
    private final int mostDays;
    private final int minutes;
    private final int disturbance;

    TankChore(String words, int startDays, int leastDays, int mostDays, int minutes, int disturbance) {
        this.words = words;
        this.startDays = startDays;
        this.leastDays = leastDays;
        this.mostDays = mostDays;
        this.minutes = minutes;
        this.disturbance = disturbance;
    }

    /** What a keeper calls it, in the middle of a sentence. */
    public String words() {
        return words;
    }

    public int startDays() {
        return startDays;
    }

    public int leastDays() {
        return leastDays;
    }

    public int mostDays() {
        return mostDays;
    }

    public int minutes() {
        return minutes;
    }

    /** How much it disturbs the bacteria, 0 to 3. */
    public int disturbance() {
        return disturbance;
    }

    /** Whether a keeper of a tank of this water may plan it of their own accord. */
    public boolean fits(WaterKind water) {
        return switch (this) {
            case ROCK_BLOW_OFF, SKIMMER_CUP -> water == WaterKind.MARINE;
            case MEDIA_PORTION -> false;
            default -> true;
        };
    }

    /**
     * How many days early or late it may well be done.
     *
     * @param everyDays 1 or more
     */
    public static int slack(int everyDays) {
        Check.within("everyDays", everyDays, 1, 4000);
        return everyDays <= 2 ? 0 : Math.max(1, everyDays / 3);
    }
}
