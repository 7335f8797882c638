package app.chervil.core.device;

import app.chervil.core.calc.Count;
import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Units;
import java.time.Duration;
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

    /**
     * What is.
     *
     * @param units in which to say it
     */
    public static String what(Alarm alarm, Told told, Units units) {
        return switch (alarm) {
            case LEAK -> "Water at " + told.device() + ", " + told.at() + ".";
            case FILTER_OFF -> told.at() + " is off.";
            case FILTER_OFF_LONG -> told.at() + " has been off for " + span(told.standing()) + ".";
            case NO_WATER -> told.at() + " runs and moves little or no water.";
            case FLOW_FELL ->
                "The flow of " + told.at() + " fell to " + flow(told.read(), units) + " from "
                        + flow(told.usual(), units) + ", too suddenly for dirt.";
            case TOO_COLD, TOO_WARM ->
                told.at() + " is at " + degrees(told.read(), units) + ", usually " + degrees(told.usual(), units) + ".";
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
            return Count.of(minutes, "minute");
        }
        long hours = standing.toHours();
        return hours < 48 ? hours + " hours" : standing.toDays() + " days";
    }

    private static String flow(Optional<Double> value, Units units) {
        return value.map(litres -> units.say(Quantity.FLOW, litres)).orElse("an unknown flow");
    }

    private static String degrees(Optional<Double> value, Units units) {
        return value.map(celsius -> units.say(Quantity.TEMPERATURE, celsius)).orElse("an unknown temperature");
    }
}
