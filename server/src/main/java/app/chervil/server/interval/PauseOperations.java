package app.chervil.server.interval;

import app.chervil.core.interval.Pauses.Cause;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.interval.PauseMapper.PauseRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pauses of filters: days on which they gather less dirt than usual. */
@Service
public class PauseOperations {
    private static final int AHEAD_DAYS = 366;

    private final PauseMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;

    PauseOperations(PauseMapper mapper, FilterOperations filters, TankOperations tanks) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
    }

    /**
     * A pause, in the past or planned.
     *
     * @param filterId absent for every filter of the tank
     * @param untilDay first usual day again; absent while nobody knows
     */
    public record PauseInput(
            @Nullable Long filterId,
            @NotNull(message = "Off, or away?") Cause cause,
            @NotNull(message = "Since when?") LocalDate firstDay,
            @Nullable LocalDate untilDay) {}

    /** The first usual day after a pause. */
    public record PauseEnd(@NotNull(message = "Since when?") LocalDate untilDay) {}

    /** A pause as stored. */
    public record PauseView(
            UUID id,
            @Nullable Long filterId,
            Cause cause,
            LocalDate firstDay,
            @Nullable LocalDate untilDay) {}

    /** Pauses of a tank and its filters, oldest first. */
    @Transactional(readOnly = true)
    public List<PauseView> list(SignedIn who, long tank) {
        tanks.find(who, tank);
        return mapper.list(who.siteId(), tank).stream()
                .map(PauseOperations::view)
                .toList();
    }

    /**
     * Stores a pause under an id made by the sender; sent twice it is stored once. The dates of its filters follow.
     *
     * @throws NotFound if the tank has no such filter
     */
    @Transactional
    public List<PauseView> save(SignedIn who, long tank, UUID id, PauseInput input) {
        tanks.find(who, tank);
        @Nullable Long filter = input.filterId();
        if (filter != null && filters.find(who, filter).tankId() != tank) {
            throw new NotFound("filter");
        }
        new Rejected.Gatherer()
                .check(
                        !input.firstDay().isAfter(tanks.today().plusDays(AHEAD_DAYS)),
                        "firstDay",
                        "too-far",
                        "At most a year ahead.")
                .done();
        checkEnd(input.firstDay(), input.untilDay());
        mapper.insert(who.siteId(), new PauseRow(id, tank, filter, input.cause(), input.firstDay(), input.untilDay()));
        return list(who, tank);
    }

    /** Says when it runs as usual again. */
    @Transactional
    public void end(SignedIn who, UUID id, LocalDate untilDay) {
        PauseRow pause = mapper.list(who.siteId(), null).stream()
                .filter(row -> row.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("pause"));
        checkEnd(pause.firstDay(), untilDay);
        mapper.end(who.siteId(), id, untilDay);
    }

    /** Takes a pause out, as if it had never been entered. */
    @Transactional
    public void remove(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id) == 0) {
            throw new NotFound("pause");
        }
    }

    private static void checkEnd(LocalDate firstDay, @Nullable LocalDate untilDay) {
        new Rejected.Gatherer()
                .check(
                        untilDay == null || untilDay.isAfter(firstDay),
                        "untilDay",
                        "before-it-began",
                        "It cannot end before it began.")
                .done();
    }

    private static PauseView view(PauseRow row) {
        return new PauseView(row.id(), row.filterId(), row.cause(), row.firstDay(), row.untilDay());
    }
}
