package app.chervil.core.sums;

/** The most equal pieces straight cuts get out of a small sheet, by trying every cut at every millimetre. */
final class EveryCut {
    private final int p;
    private final int q;
    private final int[][] known;
    private final int[][] fewest;

    EveryCut(int p, int q, int w, int h) {
        this.p = p;
        this.q = q;
        known = new int[w + 1][h + 1];
        fewest = new int[w + 1][h + 1];
        for (int x = 0; x <= w; x++) {
            for (int y = 0; y <= h; y++) {
                work(x, y);
            }
        }
    }

    int best() {
        return known[known.length - 1][known[0].length - 1];
    }

    int cuts() {
        return fewest[known.length - 1][known[0].length - 1];
    }

    private void work(int x, int y) {
        if ((x == p && y == q) || (x == q && y == p)) {
            known[x][y] = 1;
            return;
        }
        for (int at = 1; at < x; at++) {
            take(x, y, known[at][y] + known[x - at][y], fewest[at][y] + fewest[x - at][y] + 1);
        }
        for (int at = 1; at < y; at++) {
            take(x, y, known[x][at] + known[x][y - at], fewest[x][at] + fewest[x][y - at] + 1);
        }
    }

    private void take(int x, int y, int pieces, int cuts) {
        if (pieces > known[x][y] || (pieces == known[x][y] && pieces > 0 && cuts < fewest[x][y])) {
            known[x][y] = pieces;
            fewest[x][y] = cuts;
        }
    }
}
