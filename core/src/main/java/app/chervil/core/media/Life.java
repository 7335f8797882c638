package app.chervil.core.media;

import app.chervil.core.water.Medication;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What bacteria a piece holds, day by day, from where it has been: they settle in a tank, fade on the wet shelf, and are
 * dead once it dried, was treated with its tank, or changed between fresh and sea water.
 */
public final class Life {
    private final List<Stay> stays;
    private final Map<Long, Living> tanks;
    private final Ripening ripening;

    /**
     * A life.
     *
     * @param stays oldest first
     * @param tanks every one that the stays name
     */
    public Life(List<Stay> stays, Map<Long, Living> tanks, Ripening ripening) {
        this.stays = List.copyOf(stays);
        this.tanks = Map.copyOf(tanks);
        this.ripening = ripening;
    }

    /** What a piece is worth. */
    public enum State {
        /** Few bacteria, or none. */
        NEW,
        SETTLING,
        RIPE,
        /** On the wet shelf, and still of use. */
        FADING,
        /** Dried, treated, or from other water: it begins anew, and is rinsed first. */
        DEAD,
        GONE
    }

    /** Why bacteria died. */
    public enum Death {
        DRIED("It dried out."),
        TREATED("It was in its tank during a treatment."),
        OTHER_WATER("It changed between fresh and sea water.");

        private final String words;

        Death(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A piece on a day.
     *
     * @param share of the bacteria such media holds in the end, 0 to 1
     * @param death why it had to begin anew; empty if it never had to, or has settled again
     * @param ripeOn when it counts as ripe, if it stays where it is; empty if it is, or lies in no tank
     */
    public record Worth(State state, double share, Optional<Death> death, Optional<LocalDate> ripeOn) {}

    private record At(double share, Optional<Death> death, Optional<Boolean> salty) {}

    /** What it is worth at the end of a day. */
    public Worth on(LocalDate day) {
        At at = new At(0, Optional.empty(), Optional.empty());
        Optional<Stay> now = Optional.empty();
        for (Stay stay : stays) {
            if (stay.from().isAfter(day)) {
                break;
            }
            LocalDate end = stay.until().filter(until -> until.isBefore(day)).orElse(day);
            at = through(at, stay, end);
            now = Optional.of(stay);
        }
        return worth(at, now, day);
    }

    private At through(At at, Stay stay, LocalDate end) {
        long days = Math.max(0, ChronoUnit.DAYS.between(stay.from(), end));
        Optional<Living> tank = stay.tank().map(tanks::get);
        if (tank.isPresent()) {
            return inTank(entering(at, tank.get()), stay.from(), end, tank.get());
        }
        if (stay.spot() instanceof Spot.DryShelf) {
            return new At(0, at.share() > 0 ? Optional.of(Death.DRIED) : at.death(), at.salty());
        }
        return new At(Ripening.wet(at.share(), (double) days), at.death(), at.salty());
    }

    private static At entering(At at, Living tank) {
        boolean other = at.salty().isPresent() && at.salty().get() != tank.salty();
        return other && at.share() > 0
                ? new At(0, Optional.of(Death.OTHER_WATER), Optional.of(tank.salty()))
                : new At(at.share(), at.death(), Optional.of(tank.salty()));
    }

    /** Nothing settles before a tank is set up or during a treatment, and a treatment leaves nothing. */
    private At inTank(At at, LocalDate from, LocalDate end, Living tank) {
        double share = at.share();
        Optional<Death> death = at.death();
        LocalDate since = later(from, tank.establishedOn());
        for (Medication treatment : tank.treatments().stream()
                .sorted(Comparator.comparing(Medication::firstDay))
                .toList()) {
            boolean over = treatment.lastDay().map(last -> last.isBefore(from)).orElse(false);
            if (over || treatment.firstDay().isAfter(end)) {
                continue;
            }
            share = 0;
            death = Optional.of(Death.TREATED);
            since = later(
                    since, treatment.lastDay().map(last -> last.plusDays(1)).orElse(end));
        }
        double settled = ripening.after(share, (double) Math.max(0, ChronoUnit.DAYS.between(since, end)), tank);
        return new At(settled, settled >= Ripening.RIPE ? Optional.empty() : death, at.salty());
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private Worth worth(At at, Optional<Stay> now, LocalDate day) {
        if (now.isEmpty()) {
            return new Worth(State.NEW, 0, Optional.empty(), Optional.empty());
        }
        if (now.get().spot() instanceof Spot.Gone) {
            return new Worth(State.GONE, 0, at.death(), Optional.empty());
        }
        Optional<Living> tank = now.get().tank().map(tanks::get);
        if (tank.isEmpty()) {
            return new Worth(onShelf(at), at.share(), at.death(), Optional.empty());
        }
        boolean treated = tank.get().treatments().stream().anyMatch(one -> one.works(day));
        Optional<LocalDate> ripeOn = at.share() >= Ripening.RIPE || treated
                ? Optional.empty()
                : Optional.of(later(day, tank.get().establishedOn())
                        .plusDays((long) Math.ceil(ripening.untilRipe(at.share(), tank.get()) - 1e-9)));
        return new Worth(inTank(at, treated), at.share(), at.death(), ripeOn);
    }

    private static State inTank(At at, boolean treated) {
        if (at.share() >= Ripening.RIPE) {
            return State.RIPE;
        }
        if (treated) {
            return State.DEAD;
        }
        return at.share() < Ripening.AS_NEW && at.death().isEmpty() ? State.NEW : State.SETTLING;
    }

    private static State onShelf(At at) {
        if (at.share() >= Ripening.AS_NEW) {
            return State.FADING;
        }
        return at.death().isPresent() ? State.DEAD : State.NEW;
    }
}
