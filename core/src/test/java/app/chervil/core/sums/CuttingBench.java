package app.chervil.core.sums;

import app.chervil.core.sums.Packing.Laid;
import app.chervil.core.sums.Packing.Wanted;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/**
 * How good and how fast foam is cut: {@code ./chervil bench cutting}. One size against every possible cut of small sheets; many
 * sizes against the sheets that area alone asks for, in whole and in part; two hundred pieces by the clock.
 */
public final class CuttingBench {
    private static final int SMALL_SHEETS = 20_000;
    private static final int LISTS = 300;
    private static final int PIECES = 200;
    private static final double MOST_OVER = .05;
    private static final double MOST_MILLIS = 100;
    private static final int MOST_SIDE = 160;
    private static final int SHEET_W = 1000;
    private static final int SHEET_H = 500;

    private final PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    private boolean met = true;

    public static void main(String[] arguments) {
        CuttingBench bench = new CuttingBench();
        bench.oneSize();
        bench.manySizes();
        bench.hardest();
        if (!bench.met) {
            System.exit(1);
        }
    }

    private void oneSize() {
        SplittableRandom random = new SplittableRandom(1);
        int optimal = 0;
        for (int sheet = 0; sheet < SMALL_SHEETS; sheet++) {
            int p = random.nextInt(1, 16);
            int q = random.nextInt(1, 16);
            int w = random.nextInt(Math.max(p, q), 48);
            int h = random.nextInt(Math.max(p, q), 48);
            Guillotine cut = new Guillotine(p, q, w, h);
            EveryCut every = new EveryCut(p, q, w, h);
            optimal += cut.best() == every.best() && cut.cuts() == every.cuts() ? 1 : 0;
        }
        line("One size, sheets up to 47 × 47, as good as every cut", optimal, SMALL_SHEETS, optimal == SMALL_SHEETS);
    }

    private void manySizes() {
        SplittableRandom random = new SplittableRandom(2);
        long sheets = 0;
        long bound = 0;
        List<Double> millis = new ArrayList<>();
        for (int list = 0; list < LISTS; list++) {
            List<Wanted> wanted = wanted(random);
            long before = System.nanoTime();
            List<Laid> laid = Packing.best(wanted, SHEET_W, SHEET_H);
            millis.add((System.nanoTime() - before) / 1e6);
            sheets += laid.stream().mapToInt(Laid::sheet).max().orElseThrow() + 1;
            bound += bound(wanted);
        }
        double over = (double) sheets / bound - 1;
        out.printf(
                Locale.ENGLISH, "%d lists of %d pieces: %d sheets, area asks for %d%n", LISTS, PIECES, sheets, bound);
        line("Several sizes, over what area asks for, percent", 100 * over, 100 * MOST_OVER, over <= MOST_OVER);
        millis.sort(null);
        double slow = millis.get((int) (.95 * millis.size()));
        out.printf(
                Locale.ENGLISH,
                "%d pieces: median %.1f ms, first of all %.1f ms%n",
                PIECES,
                millis.get(LISTS / 2),
                millis.get(LISTS - 1));
        line("200 pieces, ms at the 95th percentile", slow, MOST_MILLIS, slow < MOST_MILLIS);
    }

    /** One size at its hardest: as many pieces as are taken, on sheets whose sides are many sums of theirs. */
    private void hardest() {
        double worst = 0;
        int[][] sheets = {
            {67, 100, 10_000, 100}, {101, 67, 10_000, 101}, {71, 94, 9_999, 100}, {800, 833, 10_000, 10_000}
        };
        for (int[] sheet : sheets) {
            long before = System.nanoTime();
            new Guillotine(sheet[0], sheet[1], sheet[2], sheet[3]);
            worst = Math.max(worst, (System.nanoTime() - before) / 1e6);
        }
        line("One size of many sums, ms at the slowest", worst, MOST_MILLIS, worst < MOST_MILLIS);
    }

    /** Pads, foams and pre-filters of three to twelve sizes, for a room of filters. */
    private static List<Wanted> wanted(SplittableRandom random) {
        int sizes = random.nextInt(3, 13);
        int[][] sides = new int[sizes][];
        for (int size = 0; size < sizes; size++) {
            sides[size] = new int[] {random.nextInt(40, MOST_SIDE), random.nextInt(40, MOST_SIDE)};
        }
        List<Wanted> wanted = new ArrayList<>();
        for (int piece = 0; piece < PIECES; piece++) {
            int size = random.nextInt(sizes);
            wanted.add(new Wanted(size, sides[size][0], sides[size][1], sides[size][0] + 2, sides[size][1] + 2));
        }
        return wanted;
    }

    private static long bound(List<Wanted> wanted) {
        double area =
                wanted.stream().mapToDouble(one -> (double) one.p() * one.q()).sum();
        return (long) Math.ceil(area / ((double) SHEET_W * SHEET_H));
    }

    private void line(String what, double measured, double bar, boolean good) {
        met &= good;
        out.printf(Locale.ENGLISH, "%-56s %10.1f  bar %8.1f  %s%n", what, measured, bar, good ? "met" : "NOT MET");
    }
}
