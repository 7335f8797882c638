package app.chervil.core.interval;

import static app.chervil.core.calc.Count.days;

import app.chervil.core.calc.Digits;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Course.Lesson;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The why of a learned window: what moved it, largest first, at most two, then the limit that held it and the risk of
 * waiting longer.
 */
final class Reasons {
    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final double WEIGHT_WORTH_TELLING = 0.25;
    private static final int MOST_TERMS = 2;
    private static final int FEW_FINDINGS = 3;
    private static final double RATE_WORTH_TELLING = 0.05;
    private static final double METER_WORTH_TELLING = 0.03;
    private static final double HARDLY_ANY = 0.02;
    private static final double EVERY_SECOND = 0.45;
    private static final double MOST = 0.6;
    private static final double NEARLY_ALL = 0.9;

    private final Course course;
    private final LocalDate today;

    Reasons(Course course, LocalDate today) {
        this.course = course;
        this.today = today;
    }

    List<String> sentences(Decision decision) {
        List<Term> terms = new ArrayList<>();
        course.changesInRun().forEach(change -> terms.add(context(change)));
        course.lesson().ifPresent(lesson -> terms.addAll(taught(lesson)));
        metered(decision).ifPresent(terms::add);
        if (course.findings() == 0) {
            terms.add(new Term(0.01, start()));
        }
        List<String> sentences = terms.stream()
                .sorted(Comparator.comparingDouble(Term::size).reversed())
                .limit(MOST_TERMS)
                .map(Term::words)
                .collect(ArrayList::new, ArrayList::add, ArrayList::addAll);
        paused().ifPresent(sentences::add);
        lifted(decision).ifPresent(sentences::add);
        closing(decision).ifPresent(sentences::add);
        return sentences;
    }

    private record Term(double size, String words) {}

    /** Days of the present run that were not counted, or not whole. */
    private Optional<String> paused() {
        Run run = course.run();
        if (run.pauses().standsOpenly(today)) {
            return Optional.of("It’s off, so its days don’t count until it runs again.");
        }
        long since = run.calendarDaysAt(today);
        long lost = Math.round(since - run.daysAt(today));
        return lost == 0
                ? Optional.empty()
                : Optional.of(
                        "Of " + days(since) + " since then " + lost + " don’t count: it was off or little was fed.");
    }

    /** A window can grow although more was found than expected: when a limit had held it short of what was believed. */
    private Optional<String> lifted(Decision decision) {
        return course.lesson()
                .map(Lesson::planned)
                .filter(planned -> planned.held() == Decision.Limit.GROWTH
                        && decision.held() != Decision.Limit.GROWTH
                        && decision.days().ideal() > planned.days().ideal())
                .map(planned -> "The last one was held to "
                        + days(Math.round(planned.days().ideal())) + "; that limit is gone.");
    }

    private String start() {
        double rate = course.changesInRun().isEmpty() ? course.run().load().rate() : 1;
        return "No findings yet, so it starts from the usual "
                + days(course.rule().startDays()) + ", a little early because tanks differ."
                + (Math.abs(rate - 1) < RATE_WORTH_TELLING
                        ? ""
                        : " " + FirstLetter.upper(dirt(rate, " dirt than usual")) + " reaches it.");
    }

    /** How much dirt a factor means, in the middle of a sentence. */
    private static String dirt(double factor, String than) {
        return factor < 1
                ? "about " + percent(1 - factor) + " less" + than
                : factor < 2
                        ? "about " + percent(factor - 1) + " more" + than
                        : "about " + Digits.of(factor, 2) + " times as much" + (than.isEmpty() ? "" : " dirt as usual");
    }

    private List<Term> taught(Lesson lesson) {
        List<Term> terms = new ArrayList<>();
        if (lesson.notes().contains(Note.LONG_GAP)) {
            long ran = Math.round(lesson.ran().days());
            terms.add(new Term(
                    1,
                    lesson.first()
                            ? "After " + days(ran) + " without care its dirt says nothing of how fast it fills."
                            : days(ran)
                                    + " without a service is longer than this stage can last. Is a service missing from the log?"
                                    + " Until you know, it teaches nothing."));
            return terms;
        }
        lesson.service().finding().ifPresent(finding -> {
            terms.add(finding(lesson, finding));
            double weight = lesson.before()
                    .weightOf(finding, lesson.service().eye(), lesson.ran().exposure());
            if (course.findings() <= FEW_FINDINGS && learns(lesson, finding) && weight > WEIGHT_WORTH_TELLING) {
                terms.add(
                        new Term(0.001, "It counts for about " + percent(weight) + ", as there are few findings yet."));
            }
        });
        flow(lesson).ifPresent(terms::add);
        return terms;
    }

    private static boolean learns(Lesson lesson, Finding finding) {
        return lesson.before()
                .learnsFrom(finding, lesson.service().eye(), lesson.ran().exposure());
    }

    private Term finding(Lesson lesson, Finding finding) {
        String after = FirstLetter.upper(finding.words()) + " after " + ran(lesson);
        if (!learns(lesson, finding)) {
            return new Term(
                    0.2,
                    finding == Finding.CLEAN
                            ? "Opened early and still clean, so it tells us little."
                            : after + ", as expected so late, so it tells us little.");
        }
        Finding expected =
                Finding.nearest(lesson.ran().exposure().mean() - lesson.before().mean());
        double moved = lesson.found().mean() - lesson.before().mean();
        if (expected == finding) {
            return new Term(Math.max(Math.abs(moved), 0.02), after + ", about as expected.");
        }
        String faster = moved > 0 ? "It fills more slowly than we thought." : "It fills faster than we thought.";
        String held = lesson.notes().contains(Note.SURPRISE_HELD) ? " We don’t take one surprise at face value." : "";
        return new Term(Math.abs(moved), after + "; we expected " + expected.words() + ". " + faster + held);
    }

    private static String ran(Lesson lesson) {
        return lesson.notes().contains(Note.START_UNKNOWN)
                ? "an unknown time"
                : days(Math.round(lesson.ran().days()));
    }

    private Optional<Term> flow(Lesson lesson) {
        if (lesson.found().equals(lesson.flowed())) {
            return Optional.empty();
        }
        double moved = lesson.flowed().mean() - lesson.found().mean();
        double foundMoved = lesson.found().mean() - lesson.before().mean();
        String verdict = Math.abs(moved) < 0.03 || moved * foundMoved > 0
                ? "The flow agrees."
                : moved > 0
                        ? "The flow had suffered less than it looked."
                        : "The flow had suffered more than it looked.";
        return Optional.of(new Term(Math.abs(moved), verdict));
    }

    /** What the meter says of the present run, by how far it moved the day. */
    private Optional<Term> metered(Decision decision) {
        return course.metered().map(read -> {
            double moved =
                    Math.log(decision.days().ideal() / course.unmetered().days().ideal());
            String left = "Its meter reads " + percent(Math.min(1, read.share())) + " of the clean flow, ";
            String says = Math.abs(moved) < METER_WORTH_TELLING
                    ? "about as expected."
                    : moved < 0
                            ? "less than expected, so it comes sooner."
                            : "more than expected, so it can wait longer.";
            return new Term(Math.max(Math.abs(moved), 0.02), left + says);
        });
    }

    private static Term context(ContextChange change) {
        ContextEffect effect = ContextEffect.of(change);
        double factor = Math.exp(effect.logRate());
        String reaches = dirt(factor, "") + " reaches it";
        return new Term(
                Math.abs(effect.logRate()),
                change.words() + " " + DAY.format(change.on()) + ": " + reaches + ", still to be confirmed.");
    }

    private Optional<String> closing(Decision decision) {
        if (today.isAfter(course.window().latest())) {
            return Optional.of(risk(decision));
        }
        return limit(decision);
    }

    /** The chance that the stage is full by its latest day; of an unknown age it cannot be told. */
    private String risk(Decision decision) {
        if (!course.run().start().known()) {
            return "Nobody knows when it was last cleaned, so look at it first.";
        }
        return "By the latest day " + of(decision.risk()) + " would already be full.";
    }

    private static String of(double chance) {
        if (chance < HARDLY_ANY) {
            return "hardly any";
        }
        if (chance < EVERY_SECOND) {
            return "about 1 in " + Math.round(1 / chance);
        }
        return chance < MOST ? "about every second one" : chance < NEARLY_ALL ? "most" : "nearly all";
    }

    private Optional<String> limit(Decision decision) {
        long held = Math.round(decision.days().ideal());
        CareRule rule = course.rule();
        return switch (decision.held()) {
            case NONE -> Optional.empty();
            case GROWTH -> Optional.of(growth(held));
            case FLOOR -> Optional.of("Not sooner than " + days(held) + ", the least for this job.");
            case CEILING -> Optional.of("Not later than " + days(held) + ", the most for this job.");
            case TOO_SMALL ->
                Optional.of("Full within " + days(held(rule))
                        + " again and again: too small for this tank. A larger or further stage would help.");
        };
    }

    private long held(CareRule rule) {
        return Math.round(
                Math.max(FullRuns.FLOOR_SHARE * rule.bounds().leastDays(), rule.startDays() * FullRuns.START_SHARE));
    }

    private String growth(long held) {
        if (course.lesson().isEmpty()) {
            return "Held to " + days(held) + " until something has been found.";
        }
        Lesson lesson = course.lesson().get();
        boolean asPlanned =
                lesson.service().finding().isEmpty() || lesson.notes().contains(Note.LONG_GAP);
        if (course.run().load().relief() > 1) {
            return "Held to " + days(held) + " until the change is confirmed.";
        }
        if (lesson.notes().contains(Note.START_UNKNOWN) && !asPlanned) {
            return "Held to " + days(held) + ", because nobody knows how long it had run.";
        }
        return asPlanned
                ? "Held to " + days(held) + ", as it was planned, because nobody could tell how full it was."
                : "Held to " + days(held) + ": it grows by half at most from one service to the next.";
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
