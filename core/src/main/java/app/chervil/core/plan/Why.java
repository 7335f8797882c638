package app.chervil.core.plan;

import app.chervil.core.calc.Count;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Price.Part;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Tells in words why work falls on its day, and what other days would cost, from the prices that the plan was made by. */
public final class Why {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private static final int OTHERS = 2;

    private final Instance instance;
    private final Plan plan;
    private final LocalDate first;
    private final Function<ChainId, String> names;
    private final Pricing pricing;

    /**
     * Tells about a plan.
     *
     * @param first the date of its day 0
     * @param names of chains, as in the middle of a sentence
     */
    public Why(Instance instance, Plan plan, LocalDate first, Function<ChainId, String> names) {
        this.instance = instance;
        this.plan = plan;
        this.first = first;
        this.names = names;
        pricing = new Pricing(instance, plan);
    }

    /**
     * What a day would cost against the day planned.
     *
     * @param dearer the difference; hard above zero means that a rule would be broken
     * @param words one sentence
     */
    public record Other(int day, Score dearer, String words) {}

    /**
     * Why a day, and what else.
     *
     * @param because one or two sentences
     * @param best the next best days
     * @param all every day it could be, in order, the planned one too
     */
    public record Answer(String because, List<Other> best, List<Other> all) {}

    /**
     * Tells about occurrences that are done together.
     *
     * @param together of different chains on one tank and day; not empty
     */
    public Answer of(Collection<Occurrence> together) {
        List<Price> prices = pricing.of(together);
        int day = together.iterator().next().day();
        Price planned = prices.stream()
                .filter(price -> price.day() == day)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no published day " + day));
        List<Other> all =
                prices.stream().map(price -> other(price, planned, together)).toList();
        List<Other> best = prices.stream()
                .filter(price -> price.day() != day)
                .sorted()
                .limit(OTHERS)
                .map(price -> other(price, planned, together))
                .toList();
        return new Answer(because(planned, best, together), best, all);
    }

    private String because(Price planned, List<Other> best, Collection<Occurrence> together) {
        List<String> sentences = new ArrayList<>();
        boolean pinned =
                together.stream().anyMatch(one -> instance.pins(one.chain().id(), one.k()));
        if (pinned) {
            sentences.add("Pinned to this day.");
        }
        companions(together).ifPresent(sentences::add);
        together.stream()
                .max(Comparator.comparingInt(one -> Math.abs(fromIdeal(one))))
                .map(this::timing)
                .ifPresent(sentences::add);
        boolean breaks = planned.score().hard() > 0;
        boolean cheaper = !best.isEmpty() && best.get(0).dearer().compareTo(new Score(0, 0)) < 0;
        if (breaks && !cheaper) {
            sentences.add("No day keeps every rule; this one breaks them least.");
        } else if (cheaper && pinned) {
            sentences.add(best.get(0).words());
        }
        return String.join(" ", sentences);
    }

    /** What else is done on the tank that day, so that set-up is shared. */
    private Optional<String> companions(Collection<Occurrence> together) {
        Occurrence one = together.iterator().next();
        List<ChainId> moved = together.stream().map(other -> other.chain().id()).toList();
        List<Occurrence> others = at(one.chain().place().tank(), one.day()).stream()
                .filter(other -> !moved.contains(other.chain().id()))
                .toList();
        Optional<Occurrence> change = others.stream()
                .filter(other -> other.chain().work().reach() == Chain.Reach.WATER_CHANGE)
                .findFirst();
        if (change.isPresent()) {
            return Optional.of("Goes with the water change: one visit instead of two.");
        }
        return others.stream()
                .findFirst()
                .map(other -> "Goes with " + names.apply(other.chain().id()) + ": one visit instead of two.");
    }

    private List<Occurrence> at(long tank, int day) {
        return plan.visits(instance).stream()
                .filter(visit -> visit.tank() == tank && visit.day() == day)
                .flatMap(visit -> visit.occurrences().stream())
                .toList();
    }

    private int fromIdeal(Occurrence one) {
        return one.day() - plan.span(one).ideal();
    }

    private String timing(Occurrence one) {
        int off = fromIdeal(one);
        String name = names.apply(one.chain().id());
        String task = FirstLetter.upper(name);
        if (off == 0) {
            return task + " falls on its best day.";
        }
        String days = Count.days(Math.abs(off));
        int late = one.day() - plan.span(one).latest();
        if (late > 0) {
            return task + " is " + Count.days(late) + " overdue.";
        }
        return task + " is " + days + (off < 0 ? " before" : " after") + " its best day, within its window.";
    }

    private Other other(Price price, Price planned, Collection<Occurrence> together) {
        Score dearer = new Score(
                price.score().hard() - planned.score().hard(),
                price.score().soft() - planned.score().soft());
        String day = DAY.format(first.plusDays(price.day()));
        if (price.day() == planned.day()) {
            return new Other(price.day(), dearer, day + " is the day planned.");
        }
        Part main = main(price, planned, dearer);
        String reason = reason(main, price, planned, together);
        if (dearer.hard() > 0) {
            return new Other(price.day(), dearer, day + ": " + reason + ".");
        }
        long minutes = Math.round(Math.abs(dearer.soft()) / (double) Weights.POINTS_A_MINUTE);
        String cost = minutes == 0
                ? "costs about the same"
                : "would be " + Count.of(minutes, "minute") + " "
                        + (dearer.hard() < 0 || dearer.soft() < 0 ? "better" : "worse");
        return new Other(price.day(), dearer, day + " " + cost + (minutes == 0 ? "." : ": " + reason + "."));
    }

    /** The part that tells most; that people were told another day only if nothing else tells. */
    private static Part main(Price price, Price planned, Score dearer) {
        return java.util.Arrays.stream(Part.values())
                .filter(part -> dearer.hard() <= 0 || part.compareTo(Part.TIMING) < 0)
                .filter(part -> part != Part.MOVED)
                .max(Comparator.comparingLong(part -> Math.abs(price.part(part) - planned.part(part))))
                .filter(part -> price.part(part) != planned.part(part))
                .orElse(Part.MOVED);
    }

    private String reason(Part part, Price price, Price planned, Collection<Occurrence> together) {
        boolean more = price.part(part) > planned.part(part);
        return switch (part) {
            case NO_TIME -> more ? noTime(price, planned) : "there is more time";
            case TOO_CLOSE ->
                more ? nearest(price.day(), together) : "it is further from other work that disturbs the bacteria";
            case NOT_TOGETHER ->
                more ? "without what belongs to it the same day" : "what belongs to it is done that day";
            case TIMING -> more ? (price.day() < planned.day() ? "early" : "late") : "nearer to its best day";
            case SET_UP -> more ? "set-up is not shared" : "set-up is shared";
            case FULL_DAY -> more ? "the day is fuller" : "the day is emptier";
            case MOVED -> more ? "people were told another day" : "as people were told";
        };
    }

    private String noTime(Price price, Price planned) {
        int capacity = instance.hours().days().get(price.day()).all();
        if (capacity == 0) {
            return "nobody has time that day";
        }
        return Count.of(price.part(Part.NO_TIME) - planned.part(Part.NO_TIME), "minute") + " more than people have";
    }

    private String nearest(int day, Collection<Occurrence> together) {
        long tank = together.iterator().next().chain().place().tank();
        List<ChainId> moved = together.stream().map(one -> one.chain().id()).collect(Collectors.toList());
        Optional<Occurrence> near = plan.visits(instance).stream()
                .filter(visit -> visit.tank() == tank && Math.abs(visit.day() - day) < Weights.APART_DAYS)
                .flatMap(visit -> visit.occurrences().stream())
                .filter(one -> one.chain().demand().spaced()
                        && !moved.contains(one.chain().id()))
                .min(Comparator.comparingInt(one -> Math.abs(one.day() - day)));
        return near.map(one -> distance(day - one.day())
                        + Objects.requireNonNull(names.apply(one.chain().id())) + ", and disturbing work stays "
                        + Weights.APART_DAYS + " days apart")
                .orElse("within " + Weights.APART_DAYS + " days of other work that disturbs the bacteria");
    }

    private static String distance(int days) {
        int off = Math.abs(days);
        if (off == 0) {
            return "the same day as ";
        }
        return Count.days(off) + (days > 0 ? " after " : " before ");
    }
}
