package app.chervil.server.stock;

import app.chervil.core.filter.Material;
import java.math.BigDecimal;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What parts cost.
 *
 * @param byName price of what one task takes, in the site's currency, by the thing's name in lower case
 */
public record PartPrices(Map<String, BigDecimal> byName) {
    /** The mean price of a material over the sizes that are kept; empty if the stores know none. */
    public OptionalDouble of(Material material) {
        String plain = Wants.key(material.words());
        return byName.entrySet().stream()
                .filter(entry -> entry.getKey().equals(plain) || entry.getKey().startsWith(plain + ", "))
                .mapToDouble(entry -> entry.getValue().doubleValue())
                .average();
    }
}
