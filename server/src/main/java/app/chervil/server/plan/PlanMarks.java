package app.chervil.server.plan;

import app.chervil.server.plan.PlanMapper.DecisionRow;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;

/** Marks of what a plan rests on: the same mark, the same plan. */
final class PlanMarks {
    private PlanMarks() {}

    static String of(PlanInput input, List<DecisionRow> decisions, int weeks) {
        String chains = input.work().values().stream()
                .map(work -> work.chain().toString())
                .collect(Collectors.joining("\n"));
        String waiting = input.waiting().stream()
                .map(work -> work.chain().id() + ":" + work.hold())
                .collect(Collectors.joining(","));
        return hash(String.join(
                "\n",
                input.today().toString(),
                chains,
                waiting,
                input.logged().toString(),
                input.setUps().toString(),
                hours(input),
                decisions(decisions),
                Integer.toString(weeks)));
    }

    static String hours(PlanInput input) {
        return hash(input.time().people() + "" + input.time().exceptions()
                + input.time().assumed());
    }

    static String decisions(List<DecisionRow> decisions) {
        return hash(decisions.stream()
                .map(one -> one.chain() + " " + one.onDay() + " " + one.how())
                .collect(Collectors.joining(",")));
    }

    static String hash(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
