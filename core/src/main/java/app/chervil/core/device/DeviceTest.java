package app.chervil.core.device;

import java.util.Optional;

/**
 * How a device is tried out, since one that fails in silence is worse than none, and how often: our judgement, its manual
 * decides (docs/sources.md#devices).
 *
 * @param days from one to the next, above zero
 * @param words what to do, naming the device
 */
public record DeviceTest(int days, String words) {
    /** The test of a device by its name; empty for what is used by hand or tells nothing that somebody waits for. */
    public static Optional<DeviceTest> of(DeviceKind kind, String name) {
        return switch (kind) {
            case LEAK ->
                Optional.of(new DeviceTest(
                        90,
                        "Touch " + name
                                + " with a wet finger: its alarm must come within a minute. Then wipe it dry."));
            case LEVEL ->
                Optional.of(
                        new DeviceTest(
                                90,
                                "Unplug what is electric in that water. Hold " + name
                                        + " as low water would for three minutes: its alarm must come. Then let it go and plug in again."));
            case PLUG ->
                Optional.of(new DeviceTest(
                        180,
                        "Pull the pump’s plug out of " + name
                                + ": its alarm must come within a minute. Plug it in again and see that water moves."));
            case TEMPERATURE ->
                Optional.of(
                        new DeviceTest(
                                180,
                                "Hold a thermometer you trust beside " + name
                                        + " for five minutes. More than half a degree apart: have it set right or replace it."));
            case FLOW ->
                Optional.of(new DeviceTest(
                        365,
                        "At the next opening, clean the wheel of " + name + " as its manual says: slime slows it."));
            case LAMP, BUTTON -> Optional.empty();
        };
    }
}
