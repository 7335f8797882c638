package app.chervil.server.stock;

import app.chervil.core.filter.Material;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.stock.Need;
import app.chervil.core.stock.Supply;
import app.chervil.server.stock.StockItemInput.KitLine;
import app.chervil.server.stock.StoresView.FitView;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What the tasks of a site use, thing by thing.
 *
 * @param byName wants by the name of the thing, in lower case
 */
record Wants(Map<String, List<Want>> byName) {

    /**
     * A task that takes a thing.
     *
     * @param quantity each time
     * @param next the day it is next wanted
     * @param everyDays at its present interval
     */
    record Want(long task, String tank, String filter, Supply supply, int quantity, LocalDate next, long everyDays) {
        Need need(double amountPerUse) {
            return new Need(next, everyDays, quantity * amountPerUse);
        }

        double usedADay() {
            return (double) quantity / everyDays;
        }
    }

    static Wants of(SiteBook site) {
        return new Wants(site.filters().stream()
                .flatMap(book -> book.forecasts().stream().flatMap(task -> wants(book, task).stream()))
                .collect(Collectors.groupingBy(want -> key(want.supply().name()), TreeMap::new, Collectors.toList())));
    }

    /** By which a thing is found, however its name is written. */
    static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    List<Want> of(String name) {
        return byName.getOrDefault(key(name), List.of());
    }

    /** Wants by task. */
    Map<Long, List<Want>> byTask() {
        return byName.values().stream().flatMap(List::stream).collect(Collectors.groupingBy(Want::task));
    }

    /**
     * Filters that use what a kit holds: in each, the same thing in the same size.
     *
     * @return those it fits whole first; none that uses nothing of it
     */
    List<FitView> fits(List<KitLine> kit) {
        Map<String, List<Want>> byFilter = kit.stream()
                .flatMap(line -> of(line.name()).stream())
                .collect(Collectors.groupingBy(
                        want -> want.filter() + " " + want.tank(), TreeMap::new, Collectors.toList()));
        return byFilter.values().stream()
                .map(used -> new FitView(used.get(0).filter(), used.get(0).tank(), lacking(kit, used)))
                .sorted(Comparator.comparingInt(fit -> fit.lacks().size()))
                .toList();
    }

    private static List<String> lacking(List<KitLine> kit, List<Want> used) {
        return kit.stream()
                .map(KitLine::name)
                .filter(name -> used.stream()
                        .noneMatch(want -> key(want.supply().name()).equals(key(name))))
                .toList();
    }

    static List<String> tanks(List<Want> wants) {
        return wants.stream().map(Want::tank).distinct().sorted().toList();
    }

    static LocalDate next(List<Want> wants) {
        return wants.stream().map(Want::next).min(Comparator.naturalOrder()).orElseThrow();
    }

    private static List<Want> wants(CareBook book, TaskForecast task) {
        Optional<FilterStage> stage = task.filter().stageOf(task.task());
        LocalDate next = task.forecast().window().ideal();
        return task.rule().effort().carry().stream()
                .filter(material -> material.use() != Material.Use.SHARED)
                .map(material -> new Want(
                        task.task().id(),
                        book.tank().name(),
                        book.filter().name(),
                        Supply.of(material, stage.map(FilterStage::size).orElse("")),
                        stage.map(FilterStage::quantity).orElse(1),
                        next,
                        task.intervalDays()))
                .toList();
    }
}
