package app.chervil.server.water;

import app.chervil.core.water.Parameter;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.TapWater;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.TapMapper.TapRow;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What new water brings, of a whole site and where a tank differs. */
@Service
public class TapOperations {
    private static final Set<Parameter> ASKED = Set.of(Parameter.NITRATE, Parameter.PHOSPHATE);

    private final TapMapper mapper;
    private final TankOperations tanks;

    TapOperations(TapMapper mapper, TankOperations tanks) {
        this.mapper = mapper;
        this.tanks = tanks;
    }

    /**
     * A stated value.
     *
     * @param tankId absent for the whole site
     * @param amount in the parameter's unit; absent to forget it
     */
    public record TapInput(
            @Nullable Long tankId,
            @NotNull(message = "Of what?") Parameter parameter,

            @Nullable
            @DecimalMin(value = "0", message = "Not below 0.")
            @DecimalMax(value = "1000", message = "At most 1,000.")
            Double amount) {}

    /**
     * What is taken for one parameter.
     *
     * @param amount stated; absent if nobody said
     * @param ofTank whether it was stated for this tank alone
     */
    public record TapView(Parameter parameter, @Nullable Double amount, boolean ofTank) {}

    /** What is taken for a tank's new water. */
    @Transactional(readOnly = true)
    public List<TapView> list(SignedIn who, long tank) {
        List<TapRow> rows = mapper.list(who.siteId());
        return ASKED.stream()
                .sorted()
                .map(parameter -> view(rows, tank, parameter))
                .toList();
    }

    /** Keeps what the tap brings, or forgets it. */
    @Transactional
    public void save(SignedIn who, TapInput input) {
        if (input.tankId() != null) {
            tanks.find(who, input.tankId());
        }
        new Rejected.Gatherer()
                .check(
                        ASKED.contains(input.parameter()),
                        "parameter",
                        "not-asked",
                        "Nitrate and phosphate of tap water matter here.")
                .done();
        if (input.amount() == null) {
            mapper.delete(who.siteId(), input.tankId(), input.parameter().name());
        } else {
            mapper.save(who.siteId(), input.tankId(), input.parameter().name(), input.amount());
        }
    }

    /** The same for the core. */
    Tap tap(SignedIn who, long tank, Parameter parameter) {
        @Nullable
        Double amount = view(mapper.list(who.siteId()), tank, parameter).amount();
        return TapWater.of(parameter, amount == null ? OptionalDouble.empty() : OptionalDouble.of(amount));
    }

    private static TapView view(List<TapRow> rows, long tank, Parameter parameter) {
        List<TapRow> ofIt = rows.stream()
                .filter(row -> row.parameter().equals(parameter.name()))
                .filter(row -> row.tankId() == null || row.tankId() == tank)
                .toList();
        return ofIt.stream()
                .filter(row -> Objects.equals(row.tankId(), tank))
                .findFirst()
                .or(() -> ofIt.stream().findFirst())
                .map(row -> new TapView(parameter, row.amount(), row.tankId() != null))
                .orElseGet(() -> new TapView(parameter, null, false));
    }
}
