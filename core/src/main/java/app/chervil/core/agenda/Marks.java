package app.chervil.core.agenda;

import app.chervil.core.plan.Chain;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.SetUps;
import app.chervil.core.plan.Span;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Marks of what a plan rests on: the same mark, the same plan, on whichever server. Two 64-bit sums, each number mixed in
 * after the other, so that order counts; maps, which have another order on each server, are sorted first.
 */
final class Marks {
    private static final long ODD = 0x9E3779B97F4A7C15L;
    private static final long OTHER_ODD = 0xC2B2AE3D27D4EB4FL;

    private long one = ODD;
    private long other = OTHER_ODD;

    private Marks() {}

    static String of(Agenda agenda, List<Decided> decisions, int weeks) {
        Marks marks = new Marks();
        marks.add(agenda.today().toEpochDay(), weeks);
        agenda.work().values().forEach(work -> marks.add(work.chain()));
        agenda.waiting().forEach(work -> {
            marks.add(work.chain().id().number());
            marks.add(work.hold().toString());
        });
        marks.add(agenda.logged().toString());
        marks.add(agenda.setUps());
        marks.add(hours(agenda.people()));
        marks.add(decisions(decisions));
        return marks.text();
    }

    static String hours(People people) {
        Marks marks = new Marks();
        marks.add(people.all() + "" + people.exceptions() + people.assumed());
        return marks.text();
    }

    static String decisions(List<Decided> decisions) {
        Marks marks = new Marks();
        decisions.forEach(decision -> {
            marks.add(decision.chain().number(), decision.on().toEpochDay());
            marks.add(decision.how().name());
        });
        return marks.text();
    }

    private void add(Chain chain) {
        Chain.Work work = chain.work();
        Chain.Demand demand = chain.demand();
        add(chain.id().number(), chain.place().tank(), chain.place().filter());
        add(chain.rhythm().first());
        add(chain.rhythm().gap());
        add(
                work.minutes(),
                demand.spaced() ? 1 : 0,
                demand.notBefore(),
                demand.notAfter(),
                demand.with().map(ChainId::number).orElse(0L));
        add(chain.rhythm().times().name());
        add(work.reach().name());
        add(work.hands().name());
    }

    private void add(Span span) {
        add(span.earliest(), span.ideal(), span.latest());
    }

    private void add(SetUps setUps) {
        add(setUps.roomMinutes(), setUps.tankMinutes());
        add(setUps.openingMinutes());
        add(setUps.rooms());
    }

    private void add(Map<Long, Integer> sorted) {
        new TreeMap<>(sorted).forEach(this::add);
    }

    private void add(String text) {
        for (int i = 0; i < text.length(); i++) {
            add(text.charAt(i));
        }
        add(text.length());
    }

    private void add(long... numbers) {
        for (long number : numbers) {
            one = Long.rotateLeft((one ^ number) * ODD, 29) * OTHER_ODD;
            other = Long.rotateLeft((other + number) * OTHER_ODD, 31) ^ one;
        }
    }

    private String text() {
        return String.format("%016x%016x", one, other);
    }
}
