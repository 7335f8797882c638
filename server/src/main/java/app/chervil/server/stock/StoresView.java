package app.chervil.server.stock;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Outlook;
import app.chervil.core.stock.Shelf;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The stores of a site.
 *
 * @param items what is to be ordered first
 * @param notKept things its filters use that are not in the stores, most used first
 * @param costAYear of all items with a price, in the site's currency
 */
public record StoresView(List<ItemView> items, List<SupplyView> notKept, BigDecimal costAYear) {

    /**
     * One item.
     *
     * @param version to send back with a change
     * @param shelf absent until it is counted
     * @param outlook absent likewise
     * @param use who wants it
     * @param suggestedReorderAt what is used until an order comes and a fortnight more, or from one wash to the next, in
     *     its unit
     * @param rotation absent unless it is washed and used again
     * @param fits filters that use what a kit holds; empty for what is no kit
     */
    public record ItemView(
            long id,
            int version,
            StockItemInput item,
            @Nullable Shelf shelf,
            @Nullable Outlook outlook,
            UseView use,
            double suggestedReorderAt,
            @Nullable RotationView rotation,
            List<FitView> fits) {}

    /**
     * A filter that uses what a kit holds.
     *
     * @param lacks what of the kit it does not use, most often for its size
     */
    public record FitView(String filter, String tank, List<String> lacks) {}

    /**
     * Who wants a thing.
     *
     * @param tanks by name
     * @param aYear in its unit
     * @param costAYear absent without a price, and for what is not used up
     * @param next the day it is next wanted; absent if nothing wants it
     */
    public record UseView(
            List<String> tanks,
            double aYear,
            @Nullable BigDecimal costAYear,
            @Nullable LocalDate next) {}

    /** How many of a thing that is washed are needed, and why. */
    public record RotationView(int inUse, int dirty, int drying, int needed) {}

    /** A thing that filters use and the stores do not know. */
    public record SupplyView(String name, Material material, List<String> tanks, double usesAYear, boolean turned) {}

    /**
     * Something that happened to an item.
     *
     * @param service the service that used it; absent for what was written down in the stores
     */
    public record MoveView(UUID id, @Nullable UUID service, Shelf.Kind kind, double amount, LocalDate on, String by) {}
}
