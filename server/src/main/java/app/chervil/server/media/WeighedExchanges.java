package app.chervil.server.media;

import app.chervil.core.media.Portions;
import app.chervil.core.media.Portions.Portion;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.media.ExchangeMapper.ExchangeRow;
import app.chervil.server.media.ExchangeView.PortionView;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Exchanges weighed against the media of their tank: their portions, and what of them is done. */
@Component
class WeighedExchanges {
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final MediaOperations replacements;
    private final Aftermaths aftermath;

    WeighedExchanges(
            TankOperations tanks, FilterOperations filters, MediaOperations replacements, Aftermaths aftermath) {
        this.tanks = tanks;
        this.filters = filters;
        this.replacements = replacements;
        this.aftermath = aftermath;
    }

    /**
     * What is wished for, as it would be kept.
     *
     * @throws Rejected if the media has no weight, or less than that
     */
    ExchangeRow row(SignedIn who, long tank, UUID id, ExchangeInput input) {
        tanks.find(who, tank);
        List<FilterStage> media = Filter.bioMedia(filters.list(who, tank));
        FilterStage stage = media.stream()
                .filter(one -> one.id() == input.stageId())
                .findFirst()
                .orElseThrow(() -> new NotFound("bio media"));
        double inStage = stage.massG().orElse(0);
        double inTank = media.stream().mapToDouble(one -> one.massG().orElse(0)).sum();
        boolean weighed = media.stream().allMatch(one -> one.massG().isPresent());
        new Rejected.Gatherer()
                .check(weighed, "stageId", "not-weighed", MediaOperations.NOT_WEIGHED)
                .check(
                        !weighed || input.grams() <= inStage,
                        "grams",
                        "more-than-there-is",
                        "This stage holds " + Math.round(inStage) + " g.")
                .check(
                        (input.oldKind() == null) == (input.newKind() == null),
                        "newKind",
                        "both-or-none",
                        "Say of both what they are made of.")
                .done();
        return new ExchangeRow(
                id,
                tank,
                input.stageId(),
                input.grams(),
                inTank,
                input.portions(),
                tanks.today(),
                input.firstOn(),
                input.oldKind(),
                input.newKind(),
                null,
                who.name());
    }

    /** Grams that went since it began. */
    double gone(SignedIn who, ExchangeRow row) {
        return replacements.gone(who, row.tankId(), row.stageId(), row.toldOn());
    }

    static List<Portion> portions(Tank tank, ExchangeRow row) {
        return Portions.of(row.firstOn(), tank.establishedOn(), row.inTank(), row.grams(), row.portions());
    }

    ExchangeView view(SignedIn who, ExchangeRow row) {
        List<Portion> portions = portions(tanks.find(who, row.tankId()), row);
        LocalDate ended = row.endedOn();
        return new ExchangeView(
                row.id(),
                row.stageId(),
                stageName(who, row),
                row.grams(),
                row.fresh(row.grams()),
                row.oldKind(),
                row.newKind(),
                views(row, portions),
                Portions.done(portions, gone(who, row)),
                ended,
                ended == null ? null : ended.plusDays(ExchangeOperations.VERDICT_DAYS),
                ended == null || ended.plusDays(ExchangeOperations.VERDICT_DAYS).isAfter(tanks.today())
                        ? null
                        : aftermath.verdict(who, row.tankId(), row.firstOn(), ended));
    }

    private String stageName(SignedIn who, ExchangeRow row) {
        for (Filter filter : filters.list(who, row.tankId())) {
            for (FilterStage stage : filter.stages()) {
                if (stage.id() == row.stageId()) {
                    return stage.name() + " of " + filter.name();
                }
            }
        }
        return "media of a filter that is gone";
    }

    static List<PortionView> views(ExchangeRow row, List<Portion> portions) {
        return portions.stream()
                .map(one -> new PortionView(one.on(), one.grams(), row.fresh(one.grams())))
                .toList();
    }
}
