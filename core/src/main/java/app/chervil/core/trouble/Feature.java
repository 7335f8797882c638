package app.chervil.core.trouble;

import app.chervil.core.calc.Check;
import java.util.Arrays;
import java.util.Optional;

/** What a log tells of a filter, each as a number; all may be missing. */
public enum Feature {
    PREFILTER_LOADING("prefilterLoading", Sort.SHARE),
    FOAM_LOADING("foamLoading", Sort.SHARE),
    PAD_LOADING("padLoading", Sort.SHARE),
    SOCK_LOADING("sockLoading", Sort.SHARE),
    SPONGE_LOADING("spongeLoading", Sort.SHARE),
    PREFILTER_LAST_GRADE("prefilterLastGrade", Sort.GRADE),
    FOAM_LAST_GRADE("foamLastGrade", Sort.GRADE),
    PAD_LAST_GRADE("padLastGrade", Sort.GRADE),
    DAYS_SINCE_STRAINER("daysSinceStrainer", Sort.DAYS),
    DAYS_SINCE_HOSES("daysSinceHoses", Sort.DAYS),
    DAYS_SINCE_IMPELLER("daysSinceImpeller", Sort.DAYS),
    DAYS_SINCE_SEALS("daysSinceSeals", Sort.DAYS),
    DAYS_SINCE_AIR_LINE("daysSinceAirLine", Sort.DAYS),
    DAYS_SINCE_SLEEVE("daysSinceSleeve", Sort.DAYS),
    DAYS_SINCE_TOP_UP("daysSinceTopUp", Sort.DAYS),
    DAYS_SINCE_VACUUM("daysSinceVacuum", Sort.DAYS),
    DAYS_SINCE_WATER_CHANGE("daysSinceWaterChange", Sort.DAYS),
    CARBON_DAYS("carbonDays", Sort.DAYS),
    REMOVER_DAYS("removerDays", Sort.DAYS),
    FOAM_AGE_DAYS("foamAgeDays", Sort.DAYS),
    PUMP_AGE_DAYS("pumpAgeDays", Sort.DAYS),
    TANK_AGE_DAYS("tankAgeDays", Sort.DAYS),
    LAMP_HOURS_SHARE("lampHoursShare", Sort.SHARE),
    /** Longest standstill within three days, in hours. */
    FILTER_OFF_HOURS("filterOffHours", Sort.HOURS),
    SMALL_MEDIA_AT_PUMP("smallMediaAtPump", Sort.FLAG),
    HARD_OR_MARINE("hardOrMarine", Sort.FLAG),
    PURGES_BY_DESIGN("purgesByDesign", Sort.FLAG);

    private static final double MOST_SHARE = 3;
    private static final double MOST_DAYS = 3650;
    private static final int CLOGGED = 4;

    private final String id;
    private final Sort sort;

    /** How its number is read. */
    public enum Sort {
        /** A share of the service point, or of rated hours; 1 is due. */
        SHARE,
        /** 0 clean to 4 clogged. */
        GRADE,
        DAYS,
        HOURS,
        /** 0 no, 1 yes. */
        FLAG
    }

    Feature(String id, Sort sort) {
        this.id = id;
        this.sort = sort;
    }

    /** Its name in the network. */
    public String id() {
        return id;
    }

    public Sort sort() {
        return sort;
    }

    /** The feature of a name; empty for an unknown one, which is ignored. */
    public static Optional<Feature> named(String id) {
        return Arrays.stream(values()).filter(one -> one.id.equals(id)).findFirst();
    }

    /**
     * A value as it counts: shares up to 3, days and hours up to 3,650.
     *
     * @throws IllegalArgumentException if value is NaN, infinite or negative, no whole grade, or no flag
     */
    double counted(double value) {
        Check.notNegative(id, value);
        return switch (sort) {
            case SHARE -> Math.min(MOST_SHARE, value);
            case DAYS, HOURS -> Math.min(MOST_DAYS, value);
            case GRADE -> whole(value, CLOGGED);
            case FLAG -> whole(value, 1);
        };
    }

    private double whole(double value, int most) {
        if (value != Math.rint(value)) {
            throw new IllegalArgumentException(id + " must be whole but was " + value);
        }
        return Check.within(id, value, 0, most);
    }
}
