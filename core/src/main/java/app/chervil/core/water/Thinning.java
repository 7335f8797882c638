package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Fewer points that draw the same line: of each stretch of time its lowest and highest are kept. */
public final class Thinning {
    private Thinning() {}

    /**
     * Thins a series.
     *
     * @param points in order of time
     * @param x place on the time axis, rising
     * @param y value
     * @param most how many to keep, 4 or above
     * @return at most so many points, in order, the first and last and the extremes of each stretch among them; all of them
     *     if they are no more
     */
    public static <P> List<P> thin(List<P> points, ToDoubleFunction<P> x, ToDoubleFunction<P> y, int most) {
        Check.within("most", most, 4, Integer.MAX_VALUE);
        if (points.size() <= most) {
            return List.copyOf(points);
        }
        int last = points.size() - 1;
        double from = x.applyAsDouble(points.get(0));
        int stretches = (most - 2) / 2;
        double width = (x.applyAsDouble(points.get(last)) - from) / stretches;
        List<P> kept = new ArrayList<>();
        kept.add(points.get(0));
        int start = 1;
        while (start < last) {
            long stretch = stretch(x, points.get(start), from, width);
            int end = start;
            while (end + 1 < last && stretch(x, points.get(end + 1), from, width) == stretch) {
                end++;
            }
            keepExtremes(points, y, start, end, kept);
            start = end + 1;
        }
        kept.add(points.get(last));
        return kept;
    }

    private static <P> long stretch(ToDoubleFunction<P> x, P point, double from, double width) {
        return (long) Math.floor((x.applyAsDouble(point) - from) / width);
    }

    private static <P> void keepExtremes(List<P> points, ToDoubleFunction<P> y, int start, int end, List<P> kept) {
        int low = start;
        int high = start;
        for (int i = start + 1; i <= end; i++) {
            if (y.applyAsDouble(points.get(i)) < y.applyAsDouble(points.get(low))) {
                low = i;
            }
            if (y.applyAsDouble(points.get(i)) > y.applyAsDouble(points.get(high))) {
                high = i;
            }
        }
        kept.add(points.get(Math.min(low, high)));
        if (low != high) {
            kept.add(points.get(Math.max(low, high)));
        }
    }
}
