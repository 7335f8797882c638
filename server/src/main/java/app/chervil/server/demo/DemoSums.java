package app.chervil.server.demo;

import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.sums.SumOperations;
import app.chervil.server.sums.VesselInput;
import app.chervil.server.tank.TankOperations;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What Marit last gave to the sums of the bench, and what she measures with. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(13)
class DemoSums implements DemoChapter {
    private static final String EVERY_DAYS = "everyDays";
    private static final String LITRES = "litres";

    private final SumOperations sums;
    private final TankOperations tanks;

    DemoSums(SumOperations sums, TankOperations tanks) {
        this.sums = sums;
        this.tanks = tanks;
    }

    @Override
    public void live(SignedIn keeper) {
        vessel(keeper, VesselInput.Kind.TUB, "Green tub", 8000);
        vessel(keeper, VesselInput.Kind.TUB, "White bucket", 12_000);
        vessel(keeper, VesselInput.Kind.CAP, "Cap of the conditioner", 5);
        for (Tank tank : tanks.list(keeper)) {
            given(tank.name()).forEach((sum, given) -> sums.keep(keeper, tank.id(), sum, given));
        }
    }

    /** By the name of a tank, then by the name of a sum. */
    private static Map<String, Map<String, Object>> given(String tank) {
        return switch (tank) {
            case "Brook bench" -> brookBench();
            case "Rock pool" -> rockPool();
            case "Blackwater nook" -> blackwaterNook();
            case "Mangrove edge" -> Map.of("uv", Map.of("watts", 11, "purpose", "ALGAE"));
            default -> Map.of();
        };
    }

    private void vessel(SignedIn keeper, VesselInput.Kind kind, String name, double millilitres) {
        UUID id = UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
        sums.saveVessel(keeper, id, new VesselInput(kind, name, millilitres));
    }

    /** Cold and fresh: taps, a canister's trays, foam from the roll. */
    private static Map<String, Map<String, Object>> brookBench() {
        return Map.of(
                "change", Map.of("lengthMm", 1000, "widthMm", 450, "share", .25),
                "mix", Map.of("coldC", 9, "hotC", 48),
                "conditioner", Map.of("labelMl", 5, "labelL", 50),
                "heat", Map.of("fromC", 9, "roomC", 18),
                "siphon", Map.of("innerMm", 16, "heightM", .9),
                "hold", Map.of("shape", "BOX", "lengthMm", 200, "widthMm", 180, "heightMm", 90, "media", "POROUS"),
                "bags", Map.of(LITRES, 1.6, "widthMm", 150, "lengthMm", 200),
                "split", Map.of("share", .1, "count", 4, "bigShare", .4),
                "cut", foam("shape", "RECT", "aMm", 180, "bMm", 140, "count", 3, "price", 12),
                "cutlist", foam("pieces", List.of(piece(180, 140, 3), piece(100, 75, 6), piece(60, 60, 4))));
    }

    private static Map<String, Object> foam(Object... more) {
        Map<String, Object> given = new HashMap<>(Map.of("sheetWMm", 500, "sheetHMm", 500));
        for (int index = 0; index < more.length; index += 2) {
            given.put((String) more[index], more[index + 1]);
        }
        return given;
    }

    private static Map<String, Object> piece(int a, int b, int count) {
        return Map.of("aMm", a, "bMm", b, "count", count);
    }

    /** Marine over a sump. */
    private static Map<String, Map<String, Object>> rockPool() {
        return Map.of(
                "draindown",
                        Map.of(
                                "lengthMm",
                                1200,
                                "widthMm",
                                550,
                                "aboveMm",
                                20,
                                "boxL",
                                2,
                                "sumpLengthMm",
                                800,
                                "sumpWidthMm",
                                400,
                                "rimMm",
                                400,
                                "levelMm",
                                240,
                                "pipes",
                                List.of(Map.of("innerMm", 25, "lengthM", 1.5))),
                "topoff", Map.of("chamberLengthMm", 250, "chamberWidthMm", 400, "spareMm", 120, "reserveL", 20),
                "mix", Map.of("coldC", 9, "hotC", 48),
                "salt", Map.of("labelG", 36.5, "labelGL", 35));
    }

    /** A hang-on-back rebuilt from cartridges, and resin now and then. */
    private static Map<String, Map<String, Object>> blackwaterNook() {
        Map<String, Object> cartridges = Map.of(
                "parts", List.of(Map.of("price", 18, "size", 3, EVERY_DAYS, 30)),
                "work", List.of(Map.of("minutes", 5, EVERY_DAYS, 30)));
        Map<String, Object> rebuilt = Map.of(
                "upfront", 2,
                "parts", List.of(Map.of("price", 9, "size", 400, "amount", 6, EVERY_DAYS, 30)),
                "work", List.of(Map.of("minutes", 9, EVERY_DAYS, 30)));
        return Map.of(
                "cost", Map.of("years", 2, "options", List.of(cartridges, rebuilt)),
                "resin", Map.of("resinMl", 250, "bleachPct", 5, "treatsLPerMl", 10),
                "vinegar", Map.of(LITRES, 1, "acidPct", 5),
                "tiles", Map.of("aMm", 180, "bMm", 250));
    }
}
