package app.chervil.server.demo;

import app.chervil.core.site.Filter;
import app.chervil.core.site.Tank;
import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Peril;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trouble.CaseView;
import app.chervil.server.trouble.CaseView.StandingView;
import app.chervil.server.trouble.TroubleEvent;
import app.chervil.server.trouble.TroubleEvent.Kind;
import app.chervil.server.trouble.TroubleInput;
import app.chervil.server.trouble.TroubleOperations;
import app.chervil.sim.trouble.Planted;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Cases of the invented site. A fault is planted in a filter; the finder asks, and a keeper who sees that fault and no more
 * answers, until it is mended.
 */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(14)
class DemoTrouble implements DemoChapter {
    private static final int MOST_STEPS = 20;

    private final TroubleOperations trouble;
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final Clock clock;

    DemoTrouble(TroubleOperations trouble, TankOperations tanks, FilterOperations filters, Clock clock) {
        this.trouble = trouble;
        this.tanks = tanks;
        this.filters = filters;
        this.clock = clock;
    }

    /**
     * A fault that was there.
     *
     * @param cause its id in the network
     * @param daysAgo when it was looked for
     * @param steps after which the keeper was called away; {@link #MOST_STEPS} to go on to the end
     */
    private record Fault(String tank, String complaint, String cause, int daysAgo, int steps) {}

    private static final List<Fault> FAULTS = List.of(
            new Fault("Brook bench", "noise", "impeller-dirty", 61, MOST_STEPS),
            new Fault("Rock pool", "bubbles", "low-water", 34, MOST_STEPS),
            new Fault("Blackwater nook", "yellow", "wood-tint", 19, MOST_STEPS),
            new Fault("Turtle bank", "weak-flow", "hose-kinked", 0, 2));

    @Override
    public void live(SignedIn keeper) {
        FAULTS.forEach(fault -> look(keeper, fault));
    }

    private void look(SignedIn keeper, Fault fault) {
        Tank tank = tanks.list(keeper).stream()
                .filter(one -> one.name().equals(fault.tank()))
                .findFirst()
                .orElseThrow();
        Filter filter = filters.listOf(keeper, tank.id()).get(0);
        Clock then = Clock.offset(clock, Duration.ofDays(-fault.daysAgo()));
        TroubleOperations operations = trouble.at(then);
        UUID id = id(fault.tank());
        CaseView now = operations.open(keeper, id, new TroubleInput(filter.id(), fault.complaint(), null));
        Planted planted = planted(fault, now);
        for (int step = 0; step < fault.steps() && open(now.now()); step++) {
            now = operations.keep(keeper, id, List.of(event(planted, now.now(), id + " " + step, then.instant())));
        }
    }

    private static boolean open(StandingView now) {
        boolean asks = now.step() == StandingView.Step.DANGER || now.step() == StandingView.Step.QUESTION;
        return asks || now.step() == StandingView.Step.REPAIR;
    }

    private static Planted planted(Fault fault, CaseView view) {
        Network network = Network.standard();
        Cause cause = network.cause(fault.cause()).orElseThrow();
        return new Planted(fault.daysAgo(), network, view.history(), fault.complaint(), List.of(cause), Set.of());
    }

    private static TroubleEvent event(Planted planted, StandingView now, String name, Instant at) {
        Kind kind =
                switch (now.step()) {
                    case DANGER -> Kind.DANGER;
                    case QUESTION -> Kind.ANSWER;
                    default -> Kind.TRIED;
                };
        String value =
                switch (kind) {
                    case DANGER -> Peril.NO;
                    case ANSWER -> planted.answer(now.id());
                    default -> planted.outcome(now.id()).id();
                };
        return new TroubleEvent(id(name), null, kind, now.id(), value, at, null);
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("trouble " + name).getBytes(StandardCharsets.UTF_8));
    }
}
