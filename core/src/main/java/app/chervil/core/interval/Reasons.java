package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Course.Lesson;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * The why of a learned window: what moved it, largest first, at most two, then the limit that held it and the risk of
 * waiting longer.
 */
final class Reasons {
    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final double WEIGHT_WORTH_TELLING = 0.25;
    private static final int MOST_TERMS = 2;

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
        if (course.findings() == 0) {
            terms.add(new Term(0.01, start(course.rule())));
        }
        List<String> sentences = terms.stream()
                .sorted(Comparator.comparingDouble(Term::size).reversed())
                .limit(MOST_TERMS)
                .map(Term::words)
                .collect(ArrayList::new, ArrayList::add, ArrayList::addAll);
        lifted(decision).ifPresent(sentences::add);
        closing(decision).ifPresent(sentences::add);
        return sentences;
    }

    private record Term(double size, String words) {}

    /** A window can grow although more was found than expected: when a limit had held it short of what was believed. */
    private java.util.Optional<String> lifted(Decision decision) {
        return course.lesson()
                .map(Lesson::planned)
                .filter(planned -> planned.held() == Decision.Limit.GROWTH
                        && decision.held() != Decision.Limit.GROWTH
                        && decision.days().ideal() > planned.days().ideal())
                .map(planned -> "The limit that held the last one to "
                        + days(Math.round(planned.days().ideal())) + " no longer does.");
    }

    private static String start(CareRule rule) {
        return "No findings yet: from the usual start of " + days(rule.startDays())
                + ", a little early because tanks differ.";
    }

    private List<Term> taught(Lesson lesson) {
        List<Term> terms = new ArrayList<>();
        lesson.service().finding().ifPresent(finding -> {
            terms.add(finding(lesson, finding));
            double weight = lesson.before().weightOf(finding);
            if (lesson.before().learnsFrom(finding, lesson.ran().exposure()) && weight > WEIGHT_WORTH_TELLING) {
                terms.add(new Term(0.001, "Counts for about " + percent(weight) + ", since there are few findings."));
            }
        });
        lesson.service().flowShare().ifPresent(share -> flow(lesson, share).ifPresent(terms::add));
        return terms;
    }

    private Term finding(Lesson lesson, Finding finding) {
        String after = "ound " + finding.words() + " after " + days(lesson.ran().days());
        if (!lesson.before().learnsFrom(finding, lesson.ran().exposure())) {
            return new Term(
                    0.2,
                    finding == Finding.CLEAN
                            ? "Opened early and clean: says little, kept."
                            : "F" + after + ", as expected so late: says little, kept.");
        }
        Finding expected =
                Finding.nearest(lesson.before().logLoading(lesson.ran().exposure()));
        double moved = lesson.found().mean() - lesson.before().mean();
        if (expected == finding) {
            return new Term(Math.max(Math.abs(moved), 0.02), "F" + after + ", about as expected.");
        }
        return new Term(
                Math.abs(moved),
                "F" + after + " where " + expected.words() + " was expected, so it fills "
                        + (moved > 0 ? "more slowly." : "faster."));
    }

    private java.util.Optional<Term> flow(Lesson lesson, double share) {
        double moved = lesson.flowed().mean() - lesson.found().mean();
        if (lesson.found().equals(lesson.flowed())) {
            return java.util.Optional.empty();
        }
        double foundMoved = lesson.found().mean() - lesson.before().mean();
        String verdict = Math.abs(moved) < 0.03 || moved * foundMoved > 0
                ? "which agrees."
                : moved > 0 ? "which is better than it looked." : "which is worse than it looked.";
        return java.util.Optional.of(
                new Term(Math.abs(moved), "Flow was at " + percent(share) + " of clean, " + verdict));
    }

    private static Term context(ContextChange change) {
        ContextEffect effect = ContextEffect.of(change);
        double factor = Math.exp(effect.logRate());
        String reaches = factor < 1
                ? "about " + percent(1 - factor) + " less reaches it"
                : factor < 2
                        ? "about " + percent(factor - 1) + " more reaches it"
                        : "about " + Math.round(factor * 10) / 10.0 + " times as much reaches it";
        return new Term(
                Math.abs(effect.logRate()),
                change.words() + " " + DAY.format(change.on()) + ": " + reaches + ", still to be confirmed.");
    }

    private java.util.Optional<String> closing(Decision decision) {
        if (today.isAfter(Window.after(course.run().since(), decision.days()).latest())) {
            return java.util.Optional.of("After the latest day about 1 in 5 would already be bypassing.");
        }
        return java.util.Optional.ofNullable(
                switch (decision.held()) {
                    case NONE -> null;
                    case GROWTH ->
                        course.lesson().isPresent()
                                ? "Held to 1.5 × the longest run so far."
                                : "Held to 1.5 × the start until something has been found.";
                    case FLOOR ->
                        "Not sooner than " + days(course.rule().bounds().leastDays()) + ", the least for this task.";
                    case CEILING -> "Held to " + days(course.rule().bounds().mostDays()) + ", the most for this task.";
                });
    }

    static String days(long count) {
        return count == 1 ? "1 day" : count + " days";
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
