package app.chervil.server.interval;

import app.chervil.core.interval.Sign;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks at parts between services. */
@Service
public class LookOperations {
    private static final int MOST_PERCENT = 100;
    private static final int MOST_METRES = 1000;

    private final LookMapper looks;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final Clock clock;

    LookOperations(LookMapper looks, FilterOperations filters, TankOperations tanks, Clock clock) {
        this.looks = looks;
        this.filters = filters;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * A look as stored.
     *
     * @param words what was seen, in a keeper's words
     * @param amount absent where the sign has none
     */
    public record LookView(
            UUID id,
            long stageId,
            LocalDate on,
            Sign sign,
            String words,
            @Nullable Double amount,
            String lookedBy) {}

    /** Looks at a tank's stages in use, latest first. */
    @Transactional(readOnly = true)
    public List<LookView> list(SignedIn who, long tank) {
        tanks.find(who, tank);
        List<FilterStage> stages = filters.list(who, tank).stream()
                .flatMap(filter -> filter.stages().stream())
                .toList();
        return looks.list(who.siteId(), tank).stream()
                .flatMap(row -> stages.stream()
                        .filter(stage -> stage.id() == row.stageId())
                        .map(stage -> view(row, stage)))
                .sorted(Comparator.comparing(LookView::on).reversed())
                .toList();
    }

    /**
     * Stores a look under an id made by the sender; sent twice it is stored once.
     *
     * @throws Rejected if the sign says nothing of this stage, or its amount does not fit
     */
    @Transactional
    public LookView save(SignedIn who, UUID id, LookInput input) {
        List<Filter> all = filters.list(who, null);
        FilterStage stage = here(all, input.stageId()).orElseThrow(() -> new NotFound("stage"));
        tanks.checkDay("on", input.on());
        Sign sign = input.sign();
        boolean measured = sign.unit() != Sign.Unit.NONE;
        boolean fits = tells(all, stage, sign);
        Double amount = input.amount();
        new Rejected.Gatherer()
                .check(fits, "sign", "says-nothing-here", "That says nothing of this part.")
                .check(!measured || amount != null, "amount", "amount-missing", "Say how much.")
                .check(
                        sign.unit() != Sign.Unit.PERCENT || amount == null || amount <= MOST_PERCENT,
                        "amount",
                        "beyond-all",
                        "At most 100 %.")
                .check(
                        sign.unit() != Sign.Unit.METRES || amount == null || amount <= MOST_METRES,
                        "amount",
                        "beyond-all",
                        "At most 1,000 m.")
                .done();
        LookRow row =
                new LookRow(id, stage.id(), input.on(), sign, measured && amount != null ? amount : 0, who.name());
        looks.insert(who.siteId(), row, clock.instant());
        LookRow stored = looks.find(who.siteId(), id).orElseThrow(() -> new NotFound("look"));
        return view(stored, stage);
    }

    /**
     * Stores what a device saw, under an id that follows from it; nothing is stored where that says nothing, or no more.
     *
     * @param by the device's name
     */
    @Transactional
    public void note(SignedIn who, UUID id, LookInput seen, String by) {
        List<Filter> all = filters.list(who, null);
        if (here(all, seen.stageId())
                .filter(stage -> tells(all, stage, seen.sign()))
                .isPresent()) {
            double amount = seen.amount() == null ? 0 : seen.amount();
            looks.insert(
                    who.siteId(), new LookRow(id, seen.stageId(), seen.on(), seen.sign(), amount, by), clock.instant());
        }
    }

    private static boolean tells(List<Filter> all, FilterStage stage, Sign sign) {
        return all.stream()
                .flatMap(filter -> filter.tasks().stream())
                .filter(task -> task.on(stage))
                .anyMatch(task -> Sign.of(stage.kind(), task.action()).contains(sign));
    }

    /** Withdraws a look. */
    @Transactional
    public void delete(SignedIn who, UUID id) {
        if (looks.delete(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("look");
        }
    }

    private static Optional<FilterStage> here(List<Filter> all, long id) {
        return all.stream()
                .flatMap(filter -> filter.stages().stream())
                .filter(stage -> stage.id() == id)
                .findFirst();
    }

    private static LookView view(LookRow row, FilterStage stage) {
        return new LookView(
                row.id(),
                row.stageId(),
                row.lookedOn(),
                row.sign(),
                row.sign().wordsFor(stage.kind()),
                row.sign().unit() == Sign.Unit.NONE ? null : row.amount(),
                row.lookedBy());
    }
}
