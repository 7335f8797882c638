package app.chervil.core.plan;

import app.chervil.core.calc.Check;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is to be planned. The hours' length is the horizon that is planned; what lies beyond the published days is planned
 * only so that the last published ones are not chosen as if the world ended there.
 *
 * @param publishedDays how many of the days are shown, 1 to the number of hours' days
 * @param chains in the order in which ties are broken
 * @param before what bears on it from earlier
 */
public record Instance(int publishedDays, List<Chain> chains, Hours hours, SetUps setUps, Before before) {
    /** Days planned beyond those published. */
    public static final int BEYOND_DAYS = 28;

    public Instance {
        Check.within("publishedDays", publishedDays, 1, hours.days().size());
        chains = List.copyOf(chains);
        Set<ChainId> ids = chains.stream().map(Chain::id).collect(Collectors.toSet());
        if (ids.size() < chains.size()) {
            throw new IllegalArgumentException("chains must have ids of their own");
        }
        Set<ChainId> partners = new HashSet<>();
        for (Chain chain : chains) {
            chain.demand().with().ifPresent(partners::add);
        }
        if (!ids.containsAll(partners)) {
            throw new IllegalArgumentException("a chain must be done with one that is here");
        }
    }

    /** Days planned, published ones and those beyond. */
    public int days() {
        return hours.days().size();
    }

    /** Whether a keeper left an occurrence out. */
    public boolean skips(ChainId chain, int k) {
        return before.decides(chain, k, How.SKIPPED);
    }

    /** Whether a keeper pinned an occurrence. */
    public boolean pins(ChainId chain, int k) {
        return before.decides(chain, k, How.PINNED);
    }

    /** The same as if people had been told nothing; what was decided and done stands. */
    public Instance untold() {
        return new Instance(
                publishedDays, chains, hours, setUps, new Before(before.fixed(), Map.of(), before.logged()));
    }

    /**
     * What was decided or done already.
     *
     * @param fixed by a keeper
     * @param published the plan as it was: day of each occurrence by chain, in order; those within the published days were told
     *     to people
     * @param logged disturbing work of the last days
     */
    public record Before(List<Fixed> fixed, Map<ChainId, List<Integer>> published, List<Logged> logged) {
        /** Nothing. */
        public static final Before NOTHING = new Before(List.of(), Map.of(), List.of());

        public Before {
            fixed = List.copyOf(fixed);
            published = Map.copyOf(published);
            logged = List.copyOf(logged);
        }

        /** What was decided of one chain. */
        List<Fixed> fixed(ChainId chain) {
            List<Fixed> ofChain = new ArrayList<>();
            for (Fixed one : fixed) {
                if (one.chain().equals(chain)) {
                    ofChain.add(one);
                }
            }
            return ofChain;
        }

        private boolean decides(ChainId chain, int k, How how) {
            for (Fixed one : fixed) {
                if (one.chain().equals(chain) && one.k() == k && one.how() == how) {
                    return true;
                }
            }
            return false;
        }
    }

    /**
     * An occurrence on which a keeper decided.
     *
     * @param k which one, from 0
     */
    public record Fixed(ChainId chain, int k, int day, How how) {}

    /** What was decided. */
    public enum How {
        /** Done on that day, whatever it costs. */
        PINNED,
        /** Left out; counted as if done on that day. */
        SKIPPED
    }

    /**
     * Disturbing work that was done.
     *
     * @param day zero or before
     */
    public record Logged(Chain.Place place, int day) {}
}
