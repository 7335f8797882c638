package app.chervil.server.account;

import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.core.calc.Units;
import app.chervil.server.problem.Rejected;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.DayOfWeek;

/**
 * How a site reads and types; values are stored metric whatever it is. The API speaks stored units, and whoever shows a value
 * turns it; only texts that follow the marks on a keeper's own bucket are made in the site's.
 *
 * @param volume of water; flows follow it
 * @param dose of what is measured by cap or spoon
 * @param dateOrder in which a day is written
 * @param weekStart Monday, Sunday or Saturday
 * @param currency of all prices, by its code of ISO 4217
 */
public record SiteUnits(
        @NotNull(message = "Choose one.") Unit volume,
        @NotNull(message = "Choose one.") Unit mass,
        @NotNull(message = "Choose one.") Unit length,
        @NotNull(message = "Choose one.") Unit dose,
        @NotNull(message = "Choose one.") Unit temperature,
        @NotNull(message = "Choose one.") Unit concentration,
        @NotNull(message = "Choose one.") Unit hardness,
        @NotNull(message = "Choose one.") Unit salinity,
        @NotNull(message = "Choose one.") DateOrder dateOrder,
        @NotNull(message = "Choose one.") DayOfWeek weekStart,
        @NotNull(message = "Choose one.") DecimalSign decimalSign,

        @NotNull(message = "Three letters, such as EUR.")
        @Pattern(regexp = "[A-Z]{3}", message = "Three letters, such as EUR.")
        String currency) {

    /** Of day, month and year. */
    public enum DateOrder {
        DAY_FIRST,
        MONTH_FIRST,
        YEAR_FIRST
    }

    /** Before what is less than one. */
    public enum DecimalSign {
        POINT,
        COMMA
    }

    /**
     * Checks that every unit is of its quantity.
     *
     * @throws Rejected if one is not, or if no week begins so
     */
    void check() {
        new Rejected.Gatherer()
                .check(volume.quantity() == Quantity.VOLUME, "volume", "of-another-kind", "Choose one.")
                .check(mass.quantity() == Quantity.MASS, "mass", "of-another-kind", "Choose one.")
                .check(length.quantity() == Quantity.LENGTH, "length", "of-another-kind", "Choose one.")
                .check(dose.quantity() == Quantity.DOSE, "dose", "of-another-kind", "Choose one.")
                .check(temperature.quantity() == Quantity.TEMPERATURE, "temperature", "of-another-kind", "Choose one.")
                .check(
                        concentration.quantity() == Quantity.CONCENTRATION,
                        "concentration",
                        "of-another-kind",
                        "Choose one.")
                .check(hardness.quantity() == Quantity.HARDNESS, "hardness", "of-another-kind", "Choose one.")
                .check(salinity.quantity() == Quantity.SALINITY, "salinity", "of-another-kind", "Choose one.")
                .check(
                        weekStart == DayOfWeek.MONDAY || weekStart.getValue() >= DayOfWeek.SATURDAY.getValue(),
                        "weekStart",
                        "out-of-range",
                        "Choose one.")
                .done();
    }

    /** The units of all quantities. */
    public Units measures() {
        return Units.of(volume, flow(), mass, length, size(), dose, temperature, concentration, hardness, salinity);
    }

    private Unit size() {
        return length == Unit.FOOT ? Unit.INCH : Unit.MILLIMETRE;
    }

    private Unit flow() {
        return switch (volume) {
            case US_GALLON -> Unit.US_GALLONS_AN_HOUR;
            case UK_GALLON -> Unit.UK_GALLONS_AN_HOUR;
            default -> Unit.LITRES_AN_HOUR;
        };
    }
}
