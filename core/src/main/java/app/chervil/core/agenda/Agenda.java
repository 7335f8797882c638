package app.chervil.core.agenda;

import app.chervil.core.agenda.TankGathering.TankWork;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Logged;
import app.chervil.core.plan.SetUps;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Hold;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * All that the plan of a site rests on.
 *
 * @param tanks by id
 * @param work by chain id, in the order in which tanks are walked; what waits for a hold without an end is not among it
 * @param waiting what waits for such a hold
 * @param gathered the same by tank, to gather from again
 */
public record Agenda(
        LocalDate today,
        Map<Long, Tank> tanks,
        Map<ChainId, Work> work,
        List<Work> waiting,
        List<Logged> logged,
        SetUps setUps,
        People people,
        Map<TankBook, TankWork> gathered) {
    /**
     * A task or chore that is planned.
     *
     * @param chain as the planner sees it
     * @param subject what it is
     * @param since the day its window is counted from
     * @param hold that keeps it for now
     */
    public record Work(Chain chain, Subject subject, LocalDate since, Window window, Optional<Hold> hold) {
        /** What it may mean to do it late. */
        public String risk() {
            return hold.map(Hold::reason).orElse(subject.risk());
        }
    }

    /**
     * What a chain is.
     *
     * @param name in a keeper's words
     * @param filter its filter's name; empty for a chore
     * @param chore empty for a care task
     * @param risk what it means to do it late
     */
    public record Subject(String name, String filter, Optional<TankChore> chore, List<Material> carry, String risk) {
        /** In the middle of a sentence. */
        public String words() {
            String low = FirstLetter.lower(name);
            return filter.isEmpty() || low.contains(filter) ? low : low + " (" + filter + ")";
        }
    }

    /** Work that is known to be planned. */
    public Work of(ChainId chain) {
        return Objects.requireNonNull(work.get(chain));
    }

    Optional<Work> find(ChainId chain) {
        return Optional.ofNullable(work.get(chain));
    }

    public Tank tank(long tank) {
        return Objects.requireNonNull(tanks.get(tank));
    }

    /** Work and its tank, in the middle of a sentence. */
    public String named(ChainId chain) {
        Work one = of(chain);
        return one.subject().words() + " on " + tank(one.chain().place().tank()).name();
    }

    Agenda with(Map<ChainId, Work> other) {
        return new Agenda(today, tanks, other, waiting, logged, setUps, people, gathered);
    }

    /** What the planner is given. */
    Instance instance(int weeks, Before before) {
        return new Instance(
                7 * weeks,
                work.values().stream().map(Work::chain).toList(),
                people.hours(today, 7 * weeks + Instance.BEYOND_DAYS),
                setUps,
                new Before(before.fixed(), before.published(), logged));
    }
}
