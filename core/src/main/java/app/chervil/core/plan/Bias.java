package app.chervil.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/** Makes days dearer for work that is put back, so that it is tried where none of it would go by itself. */
final class Bias {
    private static final int MOST = 600;
    private static final int WEEK = 7;
    private static final int MOST_SLIP_DAYS = 7;

    private final Board board;
    private final SplittableRandom random;

    /** The same for all work; points by day. */
    private final int[] alike;

    /** That, or nothing. */
    private int[] forAll;

    /** For one piece of work; points by day. */
    private final int[] ofOne;

    /** Days by which work is to slip; zero if it is not. */
    private int slip;

    /** The day from which on it is. */
    private int slipsFrom;

    Bias(Board board, SplittableRandom random) {
        this.board = board;
        this.random = random;
        alike = new int[board.days];
        forAll = board.nothingMore();
        ofOne = new int[board.days];
    }

    /**
     * Makes some days dearer for all pieces alike, so that they may meet on days that none would try alone; in two turns of three
     * the days of every week alike, or of every interval of one of them, so that what comes round may change its weekday, or its
     * week, whole. Half of the times all days stay as they are.
     */
    void disturb(List<Piece> pieces) {
        slip = 0;
        boolean none = pieces.isEmpty() || random.nextBoolean();
        forAll = none ? board.nothingMore() : alike(1 + random.nextInt(MOST), period(pieces));
    }

    private int[] alike(int most, int period) {
        for (int day = 0; day < alike.length; day++) {
            alike[day] = day < period ? random.nextInt(most) : alike[day - period];
        }
        return alike;
    }

    private int period(List<Piece> pieces) {
        return switch (random.nextInt(3)) {
            case 0 -> alike.length;
            case 1 -> WEEK;
            default -> {
                Piece one = pieces.get(random.nextInt(pieces.size()));
                yield Math.max(WEEK, board.lanes.get(one.lane).interval());
            }
        };
    }

    /**
     * Makes all days dearer but those on which each piece lay, some days earlier or later from one day on: work that must stand
     * apart, or go together, can only move so.
     *
     * @param from its days before stay
     */
    void slip(int from) {
        slip = random.nextInt(1, MOST_SLIP_DAYS + 1) * (random.nextBoolean() ? 1 : -1);
        slipsFrom = from;
    }

    /** Points by day for a piece; valid until the next call. */
    int[] of(Piece piece) {
        if (slip == 0) {
            return forAll;
        }
        Arrays.fill(ofOne, MOST);
        for (int k = piece.first; k < piece.end; k++) {
            int day = piece.was[k] + (piece.was[k] >= slipsFrom ? slip : 0);
            if (day >= 0 && day < ofOne.length) {
                ofOne[day] = 0;
            }
        }
        return ofOne;
    }

    /** What a piece was made dearer by on its days, right after it was asked for. */
    long points(Piece piece, int[] on) {
        int[] more = slip == 0 ? forAll : ofOne;
        boolean[] skipped = board.lanes.get(piece.lane).skipped;
        long points = 0;
        for (int k = piece.first; k < piece.end; k++) {
            points += skipped[k] ? 0 : more[on[k]];
        }
        return points;
    }
}
