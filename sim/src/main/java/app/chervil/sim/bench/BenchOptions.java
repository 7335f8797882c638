package app.chervil.sim.bench;

import app.chervil.sim.truth.World;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What to run.
 *
 * @param flow share of services at which flow is measured, 0 to 1
 * @param json where to write the figures
 */
record BenchOptions(long firstSeed, long lastSeed, double flow, World.Named world, Optional<Path> json) {
    private static final String USAGE = """
            ./chervil bench interval --seeds FROM-TO [--flow SHARE] [--world WORLD] [--json FILE]
              FROM-TO  whole numbers, at most 100,000 of them
              SHARE    of services at which flow is measured, 0 to 1; without it 0.5
              WORLD    one of %s; without it base""".formatted(
                    Arrays.stream(World.Named.values()).map(BenchOptions::name).collect(Collectors.joining(", ")));
    private static final long MOST_SEEDS = 100_000;

    /**
     * Reads options.
     *
     * @throws IllegalArgumentException with a message for people if they do not fit
     */
    static BenchOptions parse(String... arguments) {
        Map<String, String> given = new HashMap<>();
        for (int i = 0; i < arguments.length; i += 2) {
            if (i + 1 >= arguments.length
                    || !arguments[i].matches("--(seeds|flow|world|json)")
                    || given.put(arguments[i], arguments[i + 1]) != null) {
                throw new IllegalArgumentException("Cannot read \"" + arguments[i] + "\".\n" + USAGE);
            }
        }
        String[] seeds = given.getOrDefault("--seeds", "").split("-", -1);
        if (seeds.length != 2 || !seeds[0].matches("\\d{1,12}") || !seeds[1].matches("\\d{1,12}")) {
            throw new IllegalArgumentException("Say which seeds, such as --seeds 1-500.\n" + USAGE);
        }
        long first = Long.parseLong(seeds[0]);
        long last = Long.parseLong(seeds[1]);
        if (last < first || last - first >= MOST_SEEDS) {
            throw new IllegalArgumentException("Seeds must go up, at most 100,000 of them.\n" + USAGE);
        }
        return new BenchOptions(
                first,
                last,
                flow(given.getOrDefault("--flow", "0.5")),
                world(given.getOrDefault("--world", "base")),
                Optional.ofNullable(given.get("--json")).map(Path::of));
    }

    /**
     * Reads the options of a benchmark that takes seeds alone.
     *
     * @throws IllegalArgumentException with a message for people if they do not fit
     */
    static BenchOptions seedsOf(String bench, String... arguments) {
        if (arguments.length != 2 || !arguments[0].equals("--seeds")) {
            throw new IllegalArgumentException("./chervil bench " + bench + " --seeds FROM-TO");
        }
        return parse(arguments);
    }

    /** The same in another world. */
    BenchOptions in(World.Named other) {
        return new BenchOptions(firstSeed, lastSeed, flow, other, json);
    }

    private static double flow(String text) {
        double share = text.matches("\\d*\\.?\\d+") ? Double.parseDouble(text) : Double.NaN;
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("--flow must be 0 to 1 but was " + text + ".\n" + USAGE);
        }
        return share;
    }

    private static World.Named world(String text) {
        return Arrays.stream(World.Named.values())
                .filter(world -> name(world).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no world \"" + text + "\".\n" + USAGE));
    }

    static String name(World.Named world) {
        return world.name().toLowerCase(Locale.ROOT);
    }
}
