package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Every number in a sentence is worked out again from the engine's own values, over thousands of histories. */
class ReasonsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 1);
    private static final int HISTORIES = 4000;
    private static final List<CareRule> RULES = List.of(
            CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                    .orElseThrow(),
            CareCatalogue.find(Stage.washable(StageKind.COARSE_FOAM), CareAction.RINSE, Schools.DEFAULT)
                    .orElseThrow(),
            CareCatalogue.find(Stage.washable(StageKind.PREFILTER_SPONGE), CareAction.RINSE, Schools.DEFAULT)
                    .orElseThrow(),
            CareCatalogue.find(Stage.disposable(StageKind.SOCK), CareAction.CHANGE, Schools.DEFAULT)
                    .orElseThrow());

    @Test
    void no_sentence_says_a_number_that_is_not_so() {
        Random random = new Random(20260601);
        Map<String, Integer> told = new TreeMap<>();
        for (int history = 0; history < HISTORIES; history++) {
            Told one = live(random);
            for (String sentence : one.course.reasons(one.today)) {
                String kind = check(sentence, one);
                told.merge(kind, 1, Integer::sum);
            }
        }

        assertThat(told.keySet())
                .contains(
                        "risk",
                        "grown",
                        "planned",
                        "nothing found",
                        "floor",
                        "ceiling",
                        "small",
                        "after",
                        "weight",
                        "gap");
    }

    private record Told(Course course, LocalDate today) {
        long lastRun() {
            return Math.round(course.lesson().orElseThrow().ran().days());
        }
    }

    private static Told live(Random random) {
        CareRule rule = RULES.get(random.nextInt(RULES.size()));
        Course course = Course.begin(
                rule,
                random.nextInt(5) == 0 ? Start.unknown(DAY) : Start.exact(DAY),
                Math.exp(0.5 * random.nextGaussian()),
                Pauses.NONE);
        LocalDate on = DAY;
        int bias = random.nextInt(9) - 2;
        for (int service = random.nextInt(9); service > 0; service--) {
            long ran = Math.round(rule.startDays() * Math.exp(0.9 * random.nextGaussian() - (bias > 3 ? 1.2 : 0))) + 1;
            if (random.nextInt(30) == 0) {
                ran = 1200;
            }
            if (random.nextInt(6) == 0) {
                course.change(new ContextChange(
                        on.plusDays(ran / 2), Kind.values()[random.nextInt(4)], random.nextBoolean() ? 1 : -1));
            }
            on = on.plusDays(ran);
            Optional<Finding> finding =
                    random.nextInt(5) == 0 ? Optional.empty() : Optional.of(Finding.ofGrade(bias + random.nextInt(2)));
            course.serve(new Serviced(on, finding, java.util.OptionalDouble.empty()));
        }
        return new Told(course, on.plusDays(random.nextInt(2 * rule.startDays() + 1)));
    }

    private static String check(String sentence, Told told) {
        Decision decision = told.course.decision();
        long ideal = Math.round(decision.days().ideal());
        List<Long> numbers = numbers(sentence);
        if (sentence.startsWith("By the latest day")) {
            double risk = decision.risk();
            if (sentence.contains("1 in")) {
                assertThat(risk).as(sentence).isBetween(0.02, 0.45);
                assertThat(numbers.get(1)).as(sentence).isEqualTo(Math.round(1 / risk));
            } else if (sentence.contains("hardly")) {
                assertThat(risk).as(sentence).isLessThan(0.02);
            } else {
                assertThat(risk)
                        .as(sentence)
                        .isBetween(
                                sentence.contains("nearly all") ? 0.9 : sentence.contains("most") ? 0.6 : 0.45,
                                sentence.contains("nearly all") ? 1 : sentence.contains("most") ? 0.9 : 0.6);
            }
            return "risk";
        }
        if (sentence.startsWith("Held to")) {
            assertThat(numbers.get(0)).as(sentence).isEqualTo(ideal);
            if (sentence.contains("half at most")) {
                double most = 1.5
                        * Math.max(
                                told.lastRun(),
                                told.course
                                        .lesson()
                                        .orElseThrow()
                                        .planned()
                                        .days()
                                        .ideal());
                assertThat(decision.days().ideal()).as(sentence).isLessThanOrEqualTo(most + 1e-9);
                return "grown";
            }
            return sentence.contains("as it was planned") ? "planned" : "nothing found";
        }
        if (sentence.startsWith("Not sooner")) {
            assertThat(numbers.get(0)).as(sentence).isEqualTo(ideal);
            assertThat(decision.days().latest()).isEqualTo(decision.days().ideal());
            return "floor";
        }
        if (sentence.startsWith("Not later")) {
            assertThat(numbers.get(0)).as(sentence).isEqualTo(ideal);
            return "ceiling";
        }
        if (sentence.startsWith("Full within")) {
            assertThat(ideal).as(sentence).isLessThan(numbers.get(0) + 1);
            return "small";
        }
        if (sentence.contains(" after ") && !numbers.isEmpty()) {
            assertThat(numbers.get(0)).as(sentence).isEqualTo(told.lastRun());
            return "after";
        }
        if (sentence.startsWith("It counts")) {
            assertThat(told.course.findings()).as(sentence).isLessThanOrEqualTo(3);
            Course.Lesson lesson = told.course.lesson().orElseThrow();
            double prior = lesson.before().variance();
            double noise = lesson.service().finding().orElseThrow().variance()
                    + lesson.ran().exposure().variance();
            assertThat(numbers.get(0)).as(sentence).isEqualTo(Math.round(100 * prior / (prior + noise)));
            return "weight";
        }
        if (sentence.contains("without a service")) {
            assertThat(numbers.get(0)).as(sentence).isEqualTo(told.lastRun());
            return "gap";
        }
        return "other";
    }

    private static List<Long> numbers(String sentence) {
        List<Long> numbers = new ArrayList<>();
        Matcher matcher = Pattern.compile("\\d+").matcher(sentence);
        while (matcher.find()) {
            numbers.add(Long.parseLong(matcher.group()));
        }
        return numbers;
    }
}
