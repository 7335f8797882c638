package app.chervil.server.demo;

import app.chervil.core.site.Tank;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations;
import app.chervil.server.chore.ChoreOperations.ChoreInput;
import app.chervil.server.people.TimeOperations;
import app.chervil.server.people.TimeView;
import app.chervil.server.people.TimeView.ExceptionInput;
import app.chervil.server.people.TimeView.PersonTime;
import app.chervil.server.people.TimeView.WeekInput;
import app.chervil.server.tank.TankOperations;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Tern House's days, its winter fortnight, and the chores of its tanks. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(11)
class DemoPlanning implements DemoChapter {
    /** Monday to Sunday. */
    private static final Map<String, List<Integer>> WEEKS = Map.of(
            "Marit", List.of(60, 0, 60, 0, 60, 120, 0),
            "Osei", List.of(0, 60, 60, 0, 0, 0, 0),
            "Lin", List.of(0, 0, 0, 0, 45, 60, 0));

    private static final List<String> VACUUMED = List.of("Brook bench", "Turtle bank");

    private final TankOperations tanks;
    private final TimeOperations time;
    private final ChoreOperations chores;

    DemoPlanning(TankOperations tanks, TimeOperations time, ChoreOperations chores) {
        this.tanks = tanks;
        this.time = time;
        this.chores = chores;
    }

    @Override
    public void live(SignedIn keeper) {
        TimeView people = time.find(keeper);
        for (PersonTime person : people.people()) {
            time.saveWeek(
                    keeper,
                    person.accountId(),
                    new WeekInput(WEEKS.getOrDefault(person.name(), List.of(0, 0, 0, 0, 0, 0, 0))));
        }
        LocalDate today = tanks.today();
        LocalDate closing = LocalDate.of(today.getYear(), Month.DECEMBER, 24);
        if (today.isAfter(closing.plusDays(13))) {
            closing = closing.plusYears(1);
        }
        time.addException(keeper, new ExceptionInput(null, closing, closing.plusDays(13), 0, "Winter closing"));
        for (Tank tank : tanks.list(keeper)) {
            arrange(keeper, tank, today);
        }
    }

    private void arrange(SignedIn keeper, Tank tank, LocalDate today) {
        String name = tank.name();
        if (VACUUMED.contains(name)) {
            chores.save(keeper, tank.id(), TankChore.SUBSTRATE_VACUUM, new ChoreInput(14));
            done(keeper, tank, TankChore.SUBSTRATE_VACUUM, today.minusDays(11));
        }
        if (name.equals("Rock pool")) {
            chores.save(keeper, tank.id(), TankChore.ROCK_BLOW_OFF, new ChoreInput(7));
            done(keeper, tank, TankChore.ROCK_BLOW_OFF, today.with(TemporalAdjusters.previous(DayOfWeek.FRIDAY)));
        }
        chores.save(keeper, tank.id(), TankChore.LIGHTS_AND_COVERS, new ChoreInput(30));
        done(keeper, tank, TankChore.LIGHTS_AND_COVERS, today.minusDays(5 + 3 * (tank.id() % 7)));
    }

    private void done(SignedIn keeper, Tank tank, TankChore kind, LocalDate on) {
        chores.record(keeper, tank.id(), kind, UUID.randomUUID(), on);
    }
}
