package app.chervil.server.water;

import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.water.Hold;
import app.chervil.core.water.MediaShare;
import app.chervil.core.water.MediaShare.Verdict;
import app.chervil.core.water.Permission;
import app.chervil.core.water.Replacement;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.WaterRows.ReplacementRow;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Exchanges of bio media, held to the share a tank can bear. */
@Service
public class MediaOperations {
    /** Why the share of an exchange cannot be told. */
    public static final String NOT_WEIGHED = "Some bio media of this tank has no weight yet; enter it in its filter.";

    private final HusbandryMapper mapper;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    MediaOperations(
            HusbandryMapper mapper,
            TankOperations tanks,
            SiteBooks books,
            ApplicationEventPublisher events,
            Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.books = books;
        this.events = events;
        this.clock = clock;
    }

    /**
     * An exchange, planned or done.
     *
     * @param grams of media
     */
    public record MediaPlan(
            @NotNull(message = "Which media?") Long stageId,

            @NotNull(message = "How many grams?")
            @DecimalMin(value = "1", message = "At least 1 g.")
            @DecimalMax(value = "1000000", message = "At most 1,000 kg.")
            Double grams) {}

    /**
     * An exchange that was done.
     *
     * @param overrideReason why more was exchanged than the rule allows, or while the tank was on hold
     */
    public record MediaDone(
            @NotNull @Valid MediaPlan media,
            @NotNull(message = "Which day was it?") LocalDate replacedOn,

            @Nullable @Size(max = 500, message = "At most 500 characters.")
            String overrideReason) {}

    /**
     * What the rule says.
     *
     * @param leftGrams what may be exchanged; absent if some media has no weight yet
     * @param told the sum in words
     * @param holds reasons to wait
     * @param spacing what was done to the bacteria within the week before; absent if nothing
     */
    public record MediaVerdict(
            boolean within,
            @Nullable Double leftGrams,
            String told,
            List<String> holds,
            @Nullable String spacing) {}

    /**
     * Weighs an exchange before it is done.
     *
     * @throws NotFound if the tank has no such bio media
     */
    @Transactional(readOnly = true)
    public MediaVerdict weigh(SignedIn who, long tank, MediaPlan plan, LocalDate on) {
        TankBook book = books.tank(who, tank);
        List<FilterStage> media =
                Filter.bioMedia(book.filters().stream().map(CareBook::filter).toList());
        checkHolds(stage(media, plan.stageId()), plan);
        Optional<Verdict> verdict = verdict(who, book.tank(), media, new Replacement(on, plan.grams()));
        Permission permission = book.permission(Set.of(), Chore.BIO_PART_REPLACED.disturbance(), on, Optional.empty());
        List<String> holds = permission.holds().stream().map(Hold::reason).toList();
        @Nullable String spacing = permission.spacing(on).orElse(null);
        return verdict.map(one -> new MediaVerdict(one.within(), one.leftGrams(), one.sum(), holds, spacing))
                .orElseGet(() -> new MediaVerdict(false, null, NOT_WEIGHED, holds, spacing));
    }

    private static void checkHolds(FilterStage stage, MediaPlan plan) {
        double most = stage.massG().orElse(Double.MAX_VALUE);
        new Rejected.Gatherer()
                .check(
                        plan.grams() <= most,
                        "grams",
                        "more-than-there-is",
                        "This stage holds " + Math.round(most) + " g.")
                .done();
    }

    /**
     * Logs an exchange once under the id its client made.
     *
     * @throws Rejected if the rule or a hold speaks against it and no reason is given
     */
    @Transactional
    public MediaVerdict replace(SignedIn who, long tank, UUID id, MediaDone done) {
        tanks.checkDay("replacedOn", done.replacedOn());
        MediaVerdict verdict = weigh(who, tank, done.media(), done.replacedOn());
        if (mapper.listReplacements(who.siteId(), tank).stream()
                .anyMatch(row -> row.id().equals(id))) {
            return verdict;
        }
        checkAllowed(verdict, done.overrideReason(), "media.grams");
        boolean overridden = !verdict.within() || !verdict.holds().isEmpty();
        mapper.insertReplacement(
                who.siteId(),
                new ReplacementRow(
                        id,
                        tank,
                        done.media().stageId(),
                        done.replacedOn(),
                        done.media().grams(),
                        verdict.told(),
                        overridden ? done.overrideReason() : null,
                        who.name()));
        events.publishEvent(new MediaReplaced(who, tank, done.media().stageId(), id, done.replacedOn()));
        return verdict;
    }

    /** Refuses an exchange against the rule or a hold, unless a reason is written. */
    public void checkAllowed(MediaVerdict verdict, @Nullable String reason, String field) {
        if (reason != null && !reason.isBlank()) {
            return;
        }
        new Rejected.Gatherer()
                .check(verdict.within(), field, "too-much-media", verdict.told())
                .check(
                        verdict.holds().isEmpty(),
                        "overrideReason",
                        "held",
                        "This work is on hold. " + String.join(" ", verdict.holds()) + " Write why it is done anyway.")
                .done();
    }

    /**
     * An exchange in the log.
     *
     * @param told the sum at the time
     */
    public record MediaView(
            UUID id,
            long stageId,
            LocalDate replacedOn,
            double grams,
            String told,
            @Nullable String overrideReason,
            String doneBy) {}

    /**
     * Grams of a stage that were exchanged.
     *
     * @param since first day that counts
     */
    @Transactional(readOnly = true)
    public double gone(SignedIn who, long tank, long stage, LocalDate since) {
        return mapper.listReplacements(who.siteId(), tank).stream()
                .filter(row -> row.stageId() == stage && !row.replacedOn().isBefore(since))
                .mapToDouble(ReplacementRow::grams)
                .sum();
    }

    /** Exchanges of a tank, latest first. */
    @Transactional(readOnly = true)
    public List<MediaView> list(SignedIn who, long tank) {
        tanks.find(who, tank);
        List<MediaView> all = new ArrayList<>(mapper.listReplacements(who.siteId(), tank).stream()
                .map(row -> new MediaView(
                        row.id(),
                        row.stageId(),
                        row.replacedOn(),
                        row.grams(),
                        row.told(),
                        row.overrideReason(),
                        row.doneBy()))
                .toList());
        Collections.reverse(all);
        return all;
    }

    @Transactional
    public void remove(SignedIn who, UUID id) {
        if (mapper.deleteReplacement(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("exchange");
        }
        events.publishEvent(new MediaPutBack(who, id));
    }

    /** Removes an exchange that another log told of; nothing happens if it told of none. */
    @Transactional
    public void forget(SignedIn who, UUID id) {
        if (mapper.deleteReplacement(who.siteId(), id, clock.instant()) > 0) {
            events.publishEvent(new MediaPutBack(who, id));
        }
    }

    /** Empty if some media has no weight. */
    private Optional<Verdict> verdict(SignedIn who, Tank tank, List<FilterStage> media, Replacement wanted) {
        if (media.stream().anyMatch(stage -> stage.massG().isEmpty())) {
            return Optional.empty();
        }
        double total =
                media.stream().mapToDouble(stage -> stage.massG().orElseThrow()).sum();
        List<Replacement> earlier = mapper.listReplacements(who.siteId(), tank.id()).stream()
                .map(WaterBooks::replacement)
                .toList();
        return Optional.of(MediaShare.weigh(tank.establishedOn(), total, earlier, wanted));
    }

    private static FilterStage stage(List<FilterStage> media, long id) {
        return media.stream()
                .filter(stage -> stage.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("bio media"));
    }
}
