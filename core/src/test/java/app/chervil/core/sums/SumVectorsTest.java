package app.chervil.core.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every sum against worked examples. Expected numbers: vectors/sums.json, worked out apart from this code; within 1e-6 of the
 * value or 1e-9, whole counts, words and refusals exactly.
 */
class SumVectorsTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    static Stream<Arguments> vectors() throws IOException {
        try (InputStream file = SumVectorsTest.class.getResourceAsStream("/vectors/sums.json")) {
            return JSON.readTree(file)
                    .get("vectors")
                    .valueStream()
                    .map(one -> Arguments.of(
                            one.get("id").asString() + ": " + one.get("note").asString(), one));
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("vectors")
    @SuppressWarnings("unchecked")
    void a_sum_answers_as_its_vector_says(String name, JsonNode vector) {
        Sum sum = Sums.named(vector.get("sum").asString()).orElseThrow();
        Map<String, Object> input = JSON.treeToValue(vector.get("in"), Map.class);

        Outcome outcome = sum.of(input);

        JsonNode expected = vector.get("expect");
        if (expected.has("refuse")) {
            JsonNode refuse = expected.get("refuse");
            assertThat(outcome)
                    .isEqualTo(new Refused(
                            Refused.Code.valueOf(refuse.get("code").asString()),
                            refuse.get("field").asString()));
        } else {
            assertThat(outcome).isInstanceOf(Solved.class);
            isAsExpected((Solved) outcome, expected);
        }
    }

    private static void isAsExpected(Solved solved, JsonNode expected) {
        List<String> warnings = expected.get("warn")
                .valueStream()
                .map(JsonNode::asString)
                .sorted()
                .toList();
        assertThat(solved.warningsInOrder()).extracting(Enum::name).containsExactlyElementsOf(warnings);
        JsonNode told = JSON.valueToTree(solved.values());
        expected.get("out")
                .properties()
                .forEach(value -> isAsExpected(value.getKey(), told.path(value.getKey()), value.getValue()));
    }

    private static void isAsExpected(String name, JsonNode told, JsonNode expected) {
        if (expected.isNull()) {
            assertThat(told.isMissingNode()).as(name + " is left out").isTrue();
        } else if (expected.isArray()) {
            assertThat(told.size()).as(name).isEqualTo(expected.size());
            for (int index = 0; index < expected.size(); index++) {
                isAsExpected(name + "[" + index + "]", told.get(index), expected.get(index));
            }
        } else if (expected.isInt()) {
            assertThat(told.asDouble()).as(name).isEqualTo(expected.asInt());
        } else if (expected.isNumber()) {
            double value = expected.asDouble();
            assertThat(told.asDouble()).as(name).isCloseTo(value, within(Math.max(1e-9, 1e-6 * Math.abs(value))));
        } else {
            assertThat(told.asString()).as(name).isEqualTo(expected.asString());
        }
    }
}
