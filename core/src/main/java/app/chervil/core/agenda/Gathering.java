package app.chervil.core.agenda;

import app.chervil.core.agenda.Agenda.Work;
import app.chervil.core.agenda.TankGathering.TankWork;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.SetUps;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Gathers what a plan rests on from the site's picture and its people; tanks as they are walked. */
public final class Gathering {
    /** Set-up minutes; our judgement, docs/sources.md#planning. */
    private static final int ROOM_MINUTES = 2;

    private static final int TANK_MINUTES = 3;

    private Gathering() {}

    public static Agenda of(SiteBook site, People people) {
        return of(site, people, Optional.empty());
    }

    /**
     * What a plan rests on.
     *
     * @param before gathered earlier: what it holds of tanks that are as they were is taken from there
     */
    public static Agenda of(SiteBook site, People people, Optional<Agenda> before) {
        Map<TankBook, TankWork> known = before.filter(one -> one.today().equals(site.today()))
                .filter(one -> one.people().equals(people))
                .map(Agenda::gathered)
                .orElse(Map.of());
        Map<TankBook, TankWork> gathered = new LinkedHashMap<>();
        site.tanks()
                .forEach(tank -> gathered.put(
                        tank,
                        Optional.ofNullable(known.get(tank))
                                .orElseGet(() -> TankGathering.of(tank, site.today(), people))));
        Map<ChainId, Work> work = new LinkedHashMap<>();
        all(gathered, TankWork::planned).forEach(one -> work.put(one.chain().id(), one));
        return new Agenda(
                site.today(),
                tanks(site),
                work,
                all(gathered, TankWork::waiting).toList(),
                all(gathered, TankWork::logged).toList(),
                setUps(site, gathered),
                people,
                gathered);
    }

    private static <T> Stream<T> all(Map<TankBook, TankWork> gathered, Function<TankWork, List<T>> part) {
        return gathered.values().stream().flatMap(tank -> part.apply(tank).stream());
    }

    private static Map<Long, Tank> tanks(SiteBook site) {
        Map<Long, Tank> tanks = new LinkedHashMap<>();
        site.tanks().forEach(book -> tanks.put(book.tank().id(), book.tank()));
        return tanks;
    }

    private static SetUps setUps(SiteBook site, Map<TankBook, TankWork> gathered) {
        Map<Long, Integer> openings = new HashMap<>();
        gathered.values().forEach(tank -> openings.putAll(tank.openings()));
        Map<Long, Integer> rooms = new HashMap<>();
        Map<String, Integer> numbers = new HashMap<>();
        for (TankBook book : site.tanks()) {
            Tank tank = book.tank();
            rooms.put(tank.id(), numbers.computeIfAbsent(tank.room(), room -> numbers.size()));
        }
        return new SetUps(ROOM_MINUTES, TANK_MINUTES, openings, rooms);
    }
}
