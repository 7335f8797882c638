package app.chervil.core.device;

import java.time.Duration;
import java.util.Locale;
import java.util.Optional;

/** Alarms in a keeper's words: one sentence for what is, one for what to do. */
public final class AlarmWords {
    private AlarmWords() {}

    /**
     * What an alarm is of.
     *
     * @param device what its keeper calls the device
     * @param at the tank or filter it is fitted to
     * @param standing how long it has held
     * @param read its newest reading; empty if there is none
     * @param usual what it usually reads
     */
    public record Told(String device, String at, Duration standing, Optional<Double> read, Optional<Double> usual) {}

    /** What is. */
    public static String what(Alarm alarm, Told told) {
        return switch (alarm) {
            case LEAK -> "Water at " + told.device() + ", " + told.at() + ".";
            case FILTER_OFF -> told.at() + " is off.";
            case FILTER_OFF_LONG -> told.at() + " has been off for " + span(told.standing()) + ".";
            case NO_WATER -> told.at() + " runs and moves little or no water.";
            case FLOW_FELL ->
                "The flow of " + told.at() + " fell to " + amount(told.read(), "L/h") + " from "
                        + amount(told.usual(), "L/h") + ", too suddenly for dirt.";
            case TOO_COLD -> told.at() + " is at " + degrees(told.read()) + ", usually " + degrees(told.usual()) + ".";
            case TOO_WARM -> told.at() + " is at " + degrees(told.read()) + ", usually " + degrees(told.usual()) + ".";
            case LOW -> "The water is low at " + told.device() + ", " + told.at() + ".";
            case SILENT -> told.device() + " at " + told.at() + " has said nothing for " + span(told.standing()) + ".";
        };
    }

    /** What to do. */
    public static String then(Alarm alarm) {
        return switch (alarm) {
            case LEAK ->
                "If water has reached a plug or a socket, touch neither: switch the power off at its breaker first. Then find where it comes from.";
            case FILTER_OFF -> "Is that meant? Its bacteria are fine for half an hour.";
            case FILTER_OFF_LONG ->
                "Start it again soon and keep air in the tank. After more than 4 hours, empty its stale water before it runs into the tank.";
            case NO_WATER ->
                "Unplug it. Look for air, a closed valve or a stuck impeller, and fill it with water before it runs again.";
            case FLOW_FELL -> "Look for a kink, a half-closed valve, air or something in the impeller.";
            case TOO_COLD -> "Is the heater on and covered?";
            case TOO_WARM -> "Is the heater stuck on? Unplug it, and move the surface.";
            case LOW -> "Top it up before the pump draws air.";
            case SILENT -> "Check its battery, its plug and the network.";
        };
    }

    private static String span(Duration standing) {
        long minutes = standing.toMinutes();
        if (minutes < 120) {
            return minutes == 1 ? "1 minute" : minutes + " minutes";
        }
        long hours = standing.toHours();
        return hours < 48 ? hours + " hours" : standing.toDays() + " days";
    }

    private static String amount(Optional<Double> value, String unit) {
        return value.map(number -> Math.round(number) + " " + unit).orElse("an unknown flow");
    }

    private static String degrees(Optional<Double> value) {
        return value.map(number -> String.format(Locale.ENGLISH, "%.1f °C", number))
                .orElse("an unknown temperature");
    }
}
