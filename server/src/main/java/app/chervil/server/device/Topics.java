package app.chervil.server.device;

import java.util.OptionalLong;

/** Topics under which devices and the server speak through a broker (docs/formats.md#devices). */
final class Topics {
    /** All that devices say. */
    static final String ALL_READINGS = "chervil/+/readings";

    /** What a broker says for a device whose connection broke: its last will. */
    static final String ALL_GONE = "chervil/+/gone";

    private static final String ROOT = "chervil/";

    private Topics() {}

    /** Where a device tells its readings. */
    static String readings(long device) {
        return ROOT + device + "/readings";
    }

    /** Whether this is where a device's last will is told. */
    static boolean isGone(String topic) {
        return topic.endsWith("/gone");
    }

    /** Where a plug hears what to do. */
    static String orders(long device) {
        return ROOT + device + "/orders";
    }

    /** The device whose topic this is; empty if it is none of ours. */
    static OptionalLong device(String topic) {
        String[] parts = topic.split("/", -1);
        return parts.length == 3 && parts[1].matches("\\d{1,18}")
                ? OptionalLong.of(Long.parseLong(parts[1]))
                : OptionalLong.empty();
    }
}
