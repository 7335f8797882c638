package app.chervil.core.filter;

import app.chervil.core.tank.BacteriaHome;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Where the bacteria of a tank's filters live, and how much a whole service disturbs them (docs/sources.md#disturbance).
 *
 * @param stages of all filters of the tank
 * @param where they live otherwise
 */
public record BacteriaHomes(List<Home> stages, BacteriaHome where) {
    /** Disturbance from which a service counts as disturbing: it is spaced, and a hold speaks against it. */
    public static final int DISTURBING = 2;

    public BacteriaHomes {
        stages = List.copyOf(stages);
    }

    /** One stage of one filter. */
    public record Home(long filter, long stage, StageKind kind) {}

    /**
     * A task of a service.
     *
     * @param stage empty for the whole filter
     * @param mediaOut whether bio media leaves its place for it, be it only to reach what lies below
     */
    public record Touched(long filter, Optional<Long> stage, CareAction action, boolean mediaOut) {}

    /**
     * How much a service disturbs the bacteria, 0 not at all to 3 severely.
     *
     * @param service everything done in it, and whatever was done shortly before, in every filter of the tank
     */
    public int disturbance(Collection<Touched> service) {
        int most = 0;
        for (Touched touched : service) {
            most = Math.max(most, Math.max(alone(touched), touched.mediaOut() ? DISTURBING : 0));
        }
        if (mostFoam(service)) {
            most = Math.max(most, DISTURBING);
        }
        return CareRule.disturbanceOf(most, where);
    }

    /** Whether a service is to be spaced, and held while the tank is on hold. */
    public boolean disturbs(Collection<Touched> service) {
        return disturbance(service) >= DISTURBING;
    }

    private int alone(Touched touched) {
        return home(touched)
                .map(home -> home.kind().home().disturbedBy(touched.action()))
                .orElse(0);
    }

    /** Over half of the tank's foam, sponges and cartridges; a pre-filter counts where there is nothing else. */
    private boolean mostFoam(Collection<Touched> service) {
        List<Home> foam = stages.stream().filter(home -> home.kind().isFoam()).toList();
        if (foam.isEmpty() && stages.stream().noneMatch(home -> home.kind() == StageKind.BIO_MEDIA)) {
            foam = stages.stream()
                    .filter(home -> home.kind() == StageKind.PREFILTER_SPONGE)
                    .toList();
        }
        Set<Long> touched = new HashSet<>();
        service.forEach(one -> one.stage().ifPresent(touched::add));
        long reached =
                foam.stream().filter(home -> touched.contains(home.stage())).count();
        return reached * 2 > foam.size();
    }

    private Optional<Home> home(Touched touched) {
        return touched.stage().flatMap(id -> stages.stream()
                .filter(home -> home.stage() == id && home.filter() == touched.filter())
                .findFirst());
    }
}
