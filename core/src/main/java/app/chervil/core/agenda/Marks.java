package app.chervil.core.agenda;

import app.chervil.core.plan.SetUps;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Marks of what a plan rests on: the same mark, the same plan. */
final class Marks {
    private Marks() {}

    static String of(Agenda agenda, List<Decided> decisions, int weeks) {
        String chains = agenda.work().values().stream()
                .map(work -> work.chain().toString())
                .collect(Collectors.joining("\n"));
        String waiting = agenda.waiting().stream()
                .map(work -> work.chain().id() + ":" + work.hold())
                .collect(Collectors.joining(","));
        return hash(String.join(
                "\n",
                agenda.today().toString(),
                chains,
                waiting,
                agenda.logged().toString(),
                setUps(agenda.setUps()),
                hours(agenda.people()),
                decisions(decisions),
                Integer.toString(weeks)));
    }

    /** Maps have no order of their own, and another on each server. */
    private static String setUps(SetUps setUps) {
        return setUps.roomMinutes() + " " + setUps.tankMinutes() + " " + new TreeMap<>(setUps.openingMinutes()) + " "
                + new TreeMap<>(setUps.rooms());
    }

    static String hours(People people) {
        return hash(people.all() + "" + people.exceptions() + people.assumed());
    }

    static String decisions(List<Decided> decisions) {
        return hash(decisions.stream()
                .map(one -> one.chain() + " " + one.on() + " " + one.how())
                .collect(Collectors.joining(",")));
    }

    private static String hash(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
