package app.chervil.core.sums;

import app.chervil.core.sums.Packing.Laid;
import app.chervil.core.sums.Packing.Wanted;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Pieces of several sizes from as few sheets as a rule of thumb finds: the best of eighteen runs of {@link Packing}; no fewer
 * than area alone asks for (docs/sources.md#sum-cutting).
 */
final class CutList extends Sum {
    private static final Field A = Field.of("aMm", Measure.MILLIMETRES);
    private static final Field B = Field.of("bMm", Measure.MILLIMETRES);
    private static final Field COUNT = Field.of("count", Measure.COUNT);
    private static final Field PIECES = Field.rows("pieces", 1, 30, A, B, COUNT);

    private static final int MOST_PIECES = 200;

    CutList() {
        super(
                "cutlist",
                Result.class,
                SheetCut.OVERSIZE,
                SheetCut.KERF,
                SheetCut.SHEET_W,
                SheetCut.SHEET_H,
                SheetCut.PRICE,
                PIECES);
    }

    /**
     * The cut.
     *
     * @param leastSheets that area alone asks for
     * @param pieces where each is cut, by sheet
     */
    record Result(
            @Says(Measure.COUNT) int sheets,
            @Says(Measure.COUNT) long leastSheets,
            @Says(Measure.SHARE) double waste,
            @Says(Measure.MONEY) OptionalDouble total,
            List<Laid> pieces) {}

    @Override
    Outcome solve(Given given) {
        List<Given> rows = given.rows(PIECES);
        if (rows.stream().mapToInt(row -> row.count(COUNT)).sum() > MOST_PIECES) {
            return Refused.range(PIECES);
        }
        double kerf = given.number(SheetCut.KERF);
        int w = (int) Slack.down(given.number(SheetCut.SHEET_W) + kerf);
        int h = (int) Slack.down(given.number(SheetCut.SHEET_H) + kerf);
        List<Wanted> wanted = new ArrayList<>();
        for (int index = 0; index < rows.size(); index++) {
            Wanted one = wanted(given, rows.get(index), index);
            if (!one.fits(w, h)) {
                return new Refused(Refused.Code.IMPOSSIBLE, "pieces[" + index + "].aMm");
            }
            for (int count = rows.get(index).count(COUNT); count > 0; count--) {
                wanted.add(one);
            }
        }
        return told(given, wanted, Packing.best(wanted, w, h));
    }

    private static Wanted wanted(Given given, Given row, int index) {
        double over = 2 * given.number(SheetCut.OVERSIZE);
        int w = (int) Slack.up(row.number(A) + over);
        int h = (int) Slack.up(row.number(B) + over);
        double kerf = given.number(SheetCut.KERF);
        return new Wanted(index, w, h, (int) Slack.up(w + kerf), (int) Slack.up(h + kerf));
    }

    private static Solved told(Given given, List<Wanted> wanted, List<Laid> laid) {
        double sheet = given.number(SheetCut.SHEET_W) * given.number(SheetCut.SHEET_H);
        double area = wanted.stream().mapToDouble(Wanted::area).sum();
        int sheets = laid.stream().mapToInt(Laid::sheet).max().orElse(0) + 1;
        OptionalDouble price = given.maybe(SheetCut.PRICE);
        return Solved.of(new Result(
                sheets,
                Slack.up(area / sheet),
                1 - area / (sheets * sheet),
                price.isPresent() ? OptionalDouble.of(sheets * price.getAsDouble()) : price,
                laid));
    }
}
