package app.chervil.core.sums;

import java.util.List;
import java.util.Optional;

/** All sums of the bench, those most often asked first within each subject. */
public final class Sums {
    private static final List<Sum> ALL = List.of(
            new WaterChange(),
            new RinseWater(),
            new Conditioner(),
            new TapMix(),
            new WarmingUp(),
            new CaughtFlow(),
            new ExpectedFlow(),
            new Routine(),
            new Lowering(),
            new ManySmall(),
            new MediaNeed(),
            new MediaHeld(),
            new MediaBags(),
            new CostComparison(),
            new YearOfService(),
            new SheetCut(),
            new CutList(),
            new PrintTiles(),
            new DrainDown(),
            new TopOff(),
            new ToxicRise(),
            new SaltNeed(),
            new SalinityUnits(),
            new UvExposure(),
            new ResinSoak(),
            new VinegarBath(),
            new SocksToOwn(),
            new SiphonTime(),
            new TradeUnits());

    private Sums() {}

    public static List<Sum> all() {
        return ALL;
    }

    /** The sum of a name, if there is one. */
    public static Optional<Sum> named(String name) {
        return ALL.stream().filter(sum -> sum.name().equals(name)).findFirst();
    }
}
