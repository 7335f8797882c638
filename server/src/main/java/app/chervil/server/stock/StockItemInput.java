package app.chervil.server.stock;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Digits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A thing that is kept in the stores.
 *
 * @param name as services and carry lists name it, so that they find it
 * @param turned whether it is washed and used again
 * @param amountPerUse in its unit, each time a task takes one
 * @param reorderAt in its unit; below it more is to be ordered
 * @param leadDays from order to shelf
 * @param washEveryDays how often the dirty ones are washed; absent unless turned
 * @param price of one unit in the site's currency; absent if nobody said
 * @param kit what one of it holds; absent unless it is a kit
 */
public record StockItemInput(
        @NotBlank(message = "What is it called?") @Size(max = 80, message = "At most 80 characters.")
        String name,

        @NotNull(message = "Counted in what?") Unit unit,
        boolean turned,

        @DecimalMin(value = "0.01", message = "Above 0.") @DecimalMax(value = "100000", message = "At most 100,000.")
        double amountPerUse,

        @DecimalMin(value = "0", message = "Not below 0.")
        @DecimalMax(value = "1000000", message = "At most 1,000,000.")
        double reorderAt,

        @Min(value = 0, message = "Not below 0 days.") @Max(value = 365, message = "At most 365 days.")
        int leadDays,

        @Nullable @Min(value = 1, message = "At least 1 day.") @Max(value = 90, message = "At most 90 days.")
        Integer washEveryDays,

        @Nullable
        @DecimalMin(value = "0", message = "Not below 0.")
        @Digits(integer = 9, fraction = 6, message = "At most six digits after the point.")
        BigDecimal price,

        @Nullable @Size(min = 1, max = 40, message = "One to 40 parts.")
        List<@Valid KitLine> kit) {
    /**
     * A part of a kit.
     *
     * @param name as services name it
     * @param count of it in one kit, in its own unit
     */
    public record KitLine(
            @NotBlank(message = "Which part?") @Size(max = 80, message = "At most 80 characters.")
            String name,

            @DecimalMin(value = "0.01", message = "Above 0.")
            @DecimalMax(value = "100000", message = "At most 100,000.")
            double count) {}

    /** A thing that holds no others. */
    public StockItemInput(
            String name,
            Unit unit,
            boolean turned,
            double amountPerUse,
            double reorderAt,
            int leadDays,
            @Nullable Integer washEveryDays,
            @Nullable BigDecimal price) {
        this(name, unit, turned, amountPerUse, reorderAt, leadDays, washEveryDays, price, null);
    }

    /** What it holds, as stored. */
    public @Nullable Kit stored() {
        return kit == null ? null : new Kit(kit);
    }

    /** What it holds; nothing, unless it is a kit. */
    List<KitLine> lines() {
        return kit == null ? List.of() : kit;
    }

    /** As stored: its name without spaces around it, a wash only for what is washed. */
    StockItemInput tidied() {
        return new StockItemInput(
                name.strip(),
                unit,
                turned,
                amountPerUse,
                reorderAt,
                leadDays,
                turned ? washEveryDays : null,
                price,
                kit == null
                        ? null
                        : kit.stream()
                                .map(line -> new KitLine(line.name().strip(), line.count()))
                                .toList());
    }

    /** What a thing is counted in. */
    public enum Unit {
        PIECE,
        GRAM,
        MILLILITRE,
        METRE
    }
}
