package app.chervil.sim.trouble;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.trouble.Feature;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.Touch;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/** Filters with a log, drawn by lot. */
final class SampleFilter {
    /** How often a kind is met, of a hundred. */
    private static final Map<FilterKind, Integer> MET = new EnumMap<>(Map.of(
            FilterKind.CANISTER, 36,
            FilterKind.HANG_ON_BACK, 20,
            FilterKind.INTERNAL, 14,
            FilterKind.SUMP, 16,
            FilterKind.AIR_SPONGE, 10,
            FilterKind.UV_UNIT, 4));

    /** Share of its past that a kept log tells. */
    private static final double KNOWN = 0.85;

    private static final List<Set<Touch>> ERRANDS = List.of(
            Set.of(Touch.ANY),
            Set.of(Touch.ANY, Touch.LID, Touch.HOSES, Touch.MEDIA, Touch.BIO),
            Set.of(Touch.ANY, Touch.LID, Touch.HOSES, Touch.MEDIA, Touch.IMPELLER),
            Set.of(Touch.ANY, Touch.LID, Touch.MEDIA, Touch.NEW_MEDIA),
            Set.of(Touch.ANY, Touch.HOSES),
            Set.of(Touch.ANY, Touch.IMPELLER),
            Set.of(Touch.ANY, Touch.LAMP),
            Set.of(Touch.VACUUM),
            Set.of(Touch.ROCK, Touch.VACUUM));

    private static final double LATELY = 0.35;
    private static final double USUAL_DAYS = 120;
    private static final double PUMP_DAYS = 900;
    private static final double YOUNG_DAYS = 500;

    private SampleFilter() {}

    static FilterHistory drawn(Random luck) {
        FilterKind kind = kind(luck);
        Set<StageKind> stages = stages(kind, luck);
        Map<Feature, Double> features = new EnumMap<>(Feature.class);
        for (Feature feature : Feature.values()) {
            if (luck.nextDouble() < KNOWN) {
                features.put(feature, value(feature, luck));
            }
        }
        features.remove(Feature.FILTER_OFF_HOURS);
        if (luck.nextInt(20) == 0) {
            features.put(Feature.FILTER_OFF_HOURS, luck.nextDouble() * 12);
        }
        return new FilterHistory(kind, stages, touched(luck), features, FilterHistory.Readings.NONE);
    }

    private static FilterKind kind(Random luck) {
        int place = luck.nextInt(100);
        for (FilterKind kind : FilterKind.values()) {
            place -= MET.getOrDefault(kind, 0);
            if (place < 0) {
                return kind;
            }
        }
        return FilterKind.CANISTER;
    }

    private static Set<StageKind> stages(FilterKind kind, Random luck) {
        Set<StageKind> stages = FilterTemplates.waterPath(kind).stream()
                .map(Stage::kind)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(StageKind.class)));
        if (luck.nextInt(4) == 0) {
            stages.add(StageKind.CARBON);
        }
        if (luck.nextInt(6) == 0) {
            stages.add(StageKind.PHOSPHATE_REMOVER);
        }
        if ((kind == FilterKind.CANISTER || kind == FilterKind.SUMP) && luck.nextInt(5) == 0) {
            stages.add(StageKind.UV_LAMP);
        }
        return stages;
    }

    private static double value(Feature feature, Random luck) {
        return switch (feature.sort()) {
            case SHARE -> luck.nextDouble() * 1.4;
            case GRADE -> (double) luck.nextInt(5);
            case FLAG -> luck.nextInt(3) == 0 ? 1.0 : 0.0;
            case HOURS -> luck.nextDouble();
            case DAYS -> -Math.log(1 - luck.nextDouble()) * mean(feature);
        };
    }

    private static double mean(Feature feature) {
        return switch (feature) {
            case PUMP_AGE_DAYS -> PUMP_DAYS;
            case TANK_AGE_DAYS, FOAM_AGE_DAYS -> YOUNG_DAYS;
            case DAYS_SINCE_STRAINER, CARBON_DAYS, REMOVER_DAYS -> 30;
            case DAYS_SINCE_TOP_UP, DAYS_SINCE_WATER_CHANGE, DAYS_SINCE_VACUUM -> 9;
            default -> USUAL_DAYS;
        };
    }

    /** One errand lately, with all that hands are on in it. */
    private static Map<Touch, Double> touched(Random luck) {
        Map<Touch, Double> touched = new EnumMap<>(Touch.class);
        if (luck.nextDouble() < LATELY) {
            double days = luck.nextDouble() * 10;
            ERRANDS.get(luck.nextInt(ERRANDS.size())).forEach(tag -> touched.put(tag, days));
        }
        return touched;
    }
}
