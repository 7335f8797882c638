package app.chervil.core.sums;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Every rule of thumb that the bench goes by, each of which a site may replace (docs/sources.md#bench-sums). */
public final class RuleBook {
    /** Days until new media in a normally stocked tank of 25 °C counts as ripe (docs/sources.md#media-ripening). */
    public static final Entry RIPE_DAYS = new Entry("media.ripeDays", Measure.DAYS, 35, 14, 120);

    private RuleBook() {}

    /**
     * A rule of thumb.
     *
     * @param key {@code <sum>.<field>}, or a table, its row and its column
     * @param measure of its value
     * @param ours what we go by
     * @param least smallest value a site may keep
     * @param most largest value a site may keep
     */
    public record Entry(String key, Measure measure, double ours, double least, double most) {}

    /** Every rule, in the order of the sums, then media and stocking. */
    public static List<Entry> entries() {
        List<Entry> entries = new ArrayList<>();
        for (Sum sum : Sums.all()) {
            sum.fields().stream()
                    .filter(field -> field.basis() == Basis.RULE)
                    .flatMap(field -> of(sum, field).stream())
                    .forEach(entries::add);
        }
        Arrays.stream(BioMedium.values())
                .flatMap(medium -> medium.rules().stream())
                .forEach(entries::add);
        entries.add(RIPE_DAYS);
        return List.copyOf(entries);
    }

    private static Optional<Entry> of(Sum sum, Field field) {
        return field.otherwise()
                .map(value -> new Entry(
                        sum.name() + "." + field.name(),
                        field.measure(),
                        ((Number) value).doubleValue(),
                        field.least(),
                        field.most()));
    }
}
