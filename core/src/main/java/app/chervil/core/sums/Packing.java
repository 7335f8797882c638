package app.chervil.core.sums;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * One run of a rule of thumb that lays rectangles into sheets by straight cuts: largest first, each where it leaves least over,
 * and the free rectangle split in two. Which piece is largest, what is least and how to split are tried in all ways, and the
 * run with the fewest sheets is kept. Where these leave more sheets than area asks for, sheets are filled one by one from orders drawn by lot as well.
 */
final class Packing {
    private static final double LITTLE = 1e-9;

    /** How often sheets are filled by lot where the others leave more of them than area asks for. */
    private static final int AGAIN = 2;

    /** Orders drawn for a sheet; the same lot every time. */
    private static final int LOTS = 12;

    private static final long SEED = 1;
    private static final double LEAST_FACTOR = .4;
    private static final double MOST_FACTOR = 2.5;

    private final int w;
    private final int h;
    private final boolean areaFirst;
    private final Split split;
    private final List<Free> free = new ArrayList<>();
    private final List<Laid> laid = new ArrayList<>();
    private final List<Wanted> used = new ArrayList<>();
    private int sheets;

    /**
     * A piece to be laid.
     *
     * @param index of its row
     * @param w as cut
     * @param p with the width of a cut
     */
    record Wanted(int index, int w, int h, int p, int q) {
        boolean fits(int sheetW, int sheetH) {
            return (p <= sheetW && q <= sheetH) || (q <= sheetW && p <= sheetH);
        }

        double area() {
            return (double) w * h;
        }

        double room() {
            return (double) p * q;
        }
    }

    /**
     * A piece that lies.
     *
     * @param index of its row
     * @param sheet counted from 0
     * @param x millimetres from the left edge
     * @param y millimetres from the top
     */
    public record Laid(int index, int sheet, int x, int y, int w, int h) {}

    private record Free(int sheet, int x, int y, int w, int h) {}

    private enum Split {
        ROWS,
        COLUMNS,
        BY_LEFTOVER
    }

    /** A free rectangle and a way round. */
    private record Fit(int at, boolean turned, double shorter, double area) {
        double first(boolean areaFirst) {
            return areaFirst ? area : shorter;
        }

        double second(boolean areaFirst) {
            return areaFirst ? shorter : area;
        }
    }

    private Packing(int w, int h, boolean areaFirst, Split split) {
        this.w = w;
        this.h = h;
        this.areaFirst = areaFirst;
        this.split = split;
    }

    /** The run with the fewest sheets, the first of them. */
    static List<Laid> best(List<Wanted> wanted, int w, int h) {
        double area = wanted.stream().mapToDouble(Wanted::room).sum();
        Packing best = ofAll(wanted, w, h);
        SplittableRandom random = new SplittableRandom(SEED);
        for (int again = 0; again < AGAIN && best.sheets > Slack.up(area / ((double) w * h)); again++) {
            Packing other = sheetBySheet(wanted, w, h, random);
            best = other.sheets < best.sheets ? other : best;
        }
        return List.copyOf(best.laid);
    }

    private static Packing ofAll(List<Wanted> wanted, int w, int h) {
        return sizes().stream()
                .flatMap(size -> inAllWays(w, h).stream().map(run -> run.laying(sorted(wanted, size))))
                .min(Comparator.comparingInt(run -> run.sheets))
                .orElseThrow();
    }

    private static List<Packing> inAllWays(int w, int h) {
        return Stream.of(false, true)
                .flatMap(areaFirst -> Arrays.stream(Split.values()).map(split -> new Packing(w, h, areaFirst, split)))
                .toList();
    }

    private static List<Wanted> sorted(List<Wanted> wanted, ToDoubleFunction<Wanted> size) {
        return wanted.stream()
                .sorted(Comparator.comparingDouble(size).reversed())
                .toList();
    }

    /** One sheet after the other, each as full as orders drawn by lot make it. */
    private static Packing sheetBySheet(List<Wanted> wanted, int w, int h, SplittableRandom random) {
        Packing all = new Packing(w, h, false, Split.ROWS);
        List<Wanted> left = new ArrayList<>(wanted);
        while (!left.isEmpty()) {
            Packing fullest = fullest(left, w, h, random);
            for (Laid one : fullest.laid) {
                all.laid.add(new Laid(one.index(), all.sheets, one.x(), one.y(), one.w(), one.h()));
            }
            fullest.used.forEach(left::remove);
            all.sheets++;
        }
        return all;
    }

    private static Packing fullest(List<Wanted> left, int w, int h, SplittableRandom random) {
        Packing fullest = new Packing(w, h, false, Split.ROWS);
        for (int lot = 0; lot < LOTS; lot++) {
            List<Wanted> order = sorted(left, byLot(left, random));
            for (Packing run : inAllWays(w, h)) {
                order.forEach(run::layIfFirst);
                fullest = run.room() > fullest.room() ? run : fullest;
            }
        }
        return fullest;
    }

    private double room() {
        return used.stream().mapToDouble(Wanted::room).sum();
    }

    /** Sizes as they are, but for a factor to each row. */
    private static ToDoubleFunction<Wanted> byLot(List<Wanted> wanted, SplittableRandom random) {
        Map<Integer, Double> factors = new HashMap<>();
        wanted.forEach(
                one -> factors.computeIfAbsent(one.index(), index -> random.nextDouble(LEAST_FACTOR, MOST_FACTOR)));
        return one -> (double) one.p() * one.q() * factors.getOrDefault(one.index(), 1.0);
    }

    private static List<ToDoubleFunction<Wanted>> sizes() {
        return List.of(one -> (double) one.p() * one.q(), one -> Math.max(one.p(), one.q()), one -> one.p() + one.q());
    }

    private Packing laying(List<Wanted> inOrder) {
        inOrder.forEach(this::lay);
        return this;
    }

    private void lay(Wanted piece) {
        Fit best = bestFit(piece);
        if (best.at() < 0) {
            free.add(new Free(sheets++, 0, 0, w, h));
            best = bestFit(piece);
        }
        lay(piece, best);
    }

    /** Lays a piece if the first sheet has room for it. */
    private void layIfFirst(Wanted piece) {
        if (sheets == 0 || bestFit(piece).at() >= 0) {
            lay(piece);
        }
    }

    private void lay(Wanted piece, Fit best) {
        used.add(piece);
        Free room = free.remove(best.at());
        laid.add(new Laid(
                piece.index(),
                room.sheet(),
                room.x(),
                room.y(),
                best.turned() ? piece.h() : piece.w(),
                best.turned() ? piece.w() : piece.h()));
        divide(room, best.turned() ? piece.q() : piece.p(), best.turned() ? piece.p() : piece.q());
    }

    private Fit bestFit(Wanted piece) {
        Fit best = new Fit(-1, false, Double.MAX_VALUE, Double.MAX_VALUE);
        for (int at = 0; at < free.size(); at++) {
            best = better(best, fit(at, piece.p(), piece.q(), false));
            best = better(best, fit(at, piece.q(), piece.p(), true));
        }
        return best;
    }

    private Fit fit(int at, int p, int q, boolean turned) {
        Free room = free.get(at);
        if (p > room.w() || q > room.h()) {
            return new Fit(-1, turned, Double.MAX_VALUE, Double.MAX_VALUE);
        }
        return new Fit(at, turned, Math.min(room.w() - p, room.h() - q), (double) room.w() * room.h() - (double) p * q);
    }

    private Fit better(Fit one, Fit other) {
        if (other.at() < 0) {
            return one;
        }
        double first = other.first(areaFirst) - one.first(areaFirst);
        double second = other.second(areaFirst) - one.second(areaFirst);
        return first < -LITTLE || (first <= LITTLE && second < -LITTLE) ? other : one;
    }

    private void divide(Free room, int p, int q) {
        int right = room.w() - p;
        int below = room.h() - q;
        boolean rows = split == Split.ROWS || (split == Split.BY_LEFTOVER && right < below);
        add(new Free(room.sheet(), room.x() + p, room.y(), right, rows ? q : room.h()));
        add(new Free(room.sheet(), room.x(), room.y() + q, rows ? room.w() : p, below));
    }

    private void add(Free room) {
        if (room.w() > 0 && room.h() > 0) {
            free.add(room);
        }
    }
}
