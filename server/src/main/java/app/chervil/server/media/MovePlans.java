package app.chervil.server.media;

import app.chervil.core.media.Carries;
import app.chervil.core.media.Carries.Load;
import app.chervil.core.media.Life.State;
import app.chervil.core.media.Life.Worth;
import app.chervil.core.media.Piece;
import app.chervil.core.media.Spot;
import app.chervil.core.media.Stay;
import app.chervil.core.media.Transfer;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.media.MovePlan.Source;
import app.chervil.server.media.PieceInput.PieceMove;
import app.chervil.server.media.PieceInput.SpotInput;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaOperations.MediaPlan;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Thinks moves of media through before they are made. */
@Component
class MovePlans {
    private static final int NEW_TANK_DAYS = 60;
    private static final Worth NEW = new Worth(State.NEW, 0, Optional.empty(), Optional.empty());

    private final FilterOperations filters;
    private final SiteBooks books;
    private final MediaOperations replacements;

    MovePlans(FilterOperations filters, SiteBooks books, MediaOperations replacements) {
        this.filters = filters;
        this.books = books;
        this.replacements = replacements;
    }

    /** The record of a piece begins where it is. */
    Transfer beginning(SignedIn who, PieceBook book, Spot at, LocalDate since) {
        return new Transfer(
                Optional.empty(),
                Optional.empty(),
                List.of(),
                at,
                book.tank(at.tankId()),
                holds(who, at.tankId(), since),
                NEW,
                since);
    }

    /**
     * A move.
     *
     * @throws NotFound if there is no such piece, tank or filter
     * @throws Rejected if the day or the part does not fit what is on record
     */
    MovePlan of(SignedIn who, PieceBook book, UUID id, PieceMove input) {
        Piece piece = book.holdings().piece(id).orElseThrow(() -> new NotFound("piece of media"));
        Spot to = spot(who, input.to(), "to");
        double there = book.holdings().grams(id, LocalDate.MAX);
        check(book, piece, there, input);
        double grams = input.part() == null ? there : input.part().grams();
        Optional<Stay> from = book.holdings().at(id, input.on());
        Optional<Long> donor = from.flatMap(Stay::tank);
        Transfer transfer = new Transfer(
                from,
                book.tank(donor),
                holds(who, donor, input.on()),
                to,
                book.tank(to.tankId()),
                holds(who, to.tankId(), input.on()),
                book.worth(id, input.on()),
                input.on());
        Optional<Filter> leaves = from.flatMap(Stay::filter).flatMap(filter -> inUse(who, filter));
        Optional<Source> source = transfer.takesFromDonor() && MovePlan.weighed(piece)
                ? leaves.flatMap(MovePlans::source)
                : Optional.empty();
        Optional<MediaVerdict> verdict =
                source.map(at -> replacements.weigh(who, at.tank(), new MediaPlan(at.stage(), grams), input.on()));
        return new MovePlan(piece, grams, transfer, source, verdict, leaves);
    }

    private static void check(PieceBook book, Piece piece, double there, PieceMove input) {
        boolean begun = !input.on().isBefore(piece.since());
        new Rejected.Gatherer()
                .check(begun, "on", "before-it-began", "Its record begins later than that.")
                .check(
                        !begun || !book.lastMove(piece.id()).movedOn().isAfter(input.on()),
                        "on",
                        "moved-since",
                        "It was moved after that day. Take that back first.")
                .check(
                        input.part() == null || input.part().grams() < there,
                        "part.grams",
                        "not-a-part",
                        "A part is less than the " + Math.round(there) + " g that are there.")
                .done();
    }

    private static Optional<Source> source(Filter filter) {
        return Filter.bioMedia(List.of(filter)).stream()
                .findFirst()
                .map(FilterStage::id)
                .map(stage -> new Source(filter.tankId(), stage));
    }

    private Optional<Filter> inUse(SignedIn who, long filter) {
        return books.site(who).filters().stream()
                .map(book -> book.filter())
                .filter(one -> one.id() == filter)
                .findFirst();
    }

    private List<Hold> holds(SignedIn who, Optional<Long> tank, LocalDate on) {
        return tank.flatMap(id -> books.site(who).tank(id))
                .map(TankBook::records)
                .map(records -> records.water().holds(on))
                .orElse(List.of());
    }

    /** Share of its stocking that a young tank's media carries with what comes in; empty for others. */
    Optional<Double> carries(SignedIn who, PieceBook book, MovePlan plan) {
        Transfer transfer = plan.transfer();
        if (!(transfer.to() instanceof Spot.InFilter to)
                || transfer.from().flatMap(Stay::tank).equals(Optional.of(to.tank()))) {
            return Optional.empty();
        }
        return books.site(who)
                .tank(to.tank())
                .map(TankBook::tank)
                .filter(tank -> ChronoUnit.DAYS.between(tank.establishedOn(), transfer.on()) < NEW_TANK_DAYS)
                .map(tank -> carries(book, plan, tank));
    }

    private static double carries(PieceBook book, MovePlan plan, Tank tank) {
        LocalDate on = plan.transfer().on();
        Stream<Load> there = book.holdings().pieces().stream()
                .filter(piece -> book.holdings()
                        .at(piece.id(), on)
                        .filter(stay -> stay.spot() instanceof Spot.InFilter)
                        .flatMap(Stay::tank)
                        .equals(Optional.of(tank.id())))
                .map(piece -> new Load(
                        piece.kind(),
                        book.holdings().grams(piece.id(), on),
                        book.worth(piece.id(), on).share()));
        Load coming =
                new Load(plan.piece().kind(), plan.grams(), plan.transfer().arriving());
        return Carries.share(
                Stream.concat(there, Stream.of(coming)).toList(),
                tank.netVolumeL(),
                tank.setting().stocking());
    }

    /**
     * Where something is laid.
     *
     * @param field of the request that says so
     * @throws Rejected if it does not say which filter, or for which other tank
     */
    Spot spot(SignedIn who, SpotInput input, String field) {
        return switch (input.kind()) {
            case WET_SHELF -> new Spot.WetShelf();
            case DRY_SHELF -> new Spot.DryShelf();
            case GONE -> new Spot.Gone();
            case IN_FILTER -> {
                Filter filter = filter(who, input, field);
                yield new Spot.InFilter(filter.tankId(), filter.id());
            }
            case SEEDING -> seeding(who, filter(who, input, field), input, field);
        };
    }

    private Spot seeding(SignedIn who, Filter filter, SpotInput input, String field) {
        Long forTank = input.forTankId();
        if (forTank == null || forTank == filter.tankId()) {
            throw Rejected.field(field + ".forTankId", "for-which-tank", "Which other tank is it for?");
        }
        books.tank(who, forTank);
        return new Spot.Seeding(filter.tankId(), filter.id(), forTank);
    }

    private Filter filter(SignedIn who, SpotInput input, String field) {
        Long id = input.filterId();
        if (id == null) {
            throw Rejected.field(field + ".filterId", "which-filter", "In which filter?");
        }
        return filters.find(who, id);
    }
}
