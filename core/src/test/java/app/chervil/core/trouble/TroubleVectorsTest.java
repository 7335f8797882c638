package app.chervil.core.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** The finder against worked examples. Expected numbers: vectors/trouble.json, worked out apart from this code; within 1e-6. */
class TroubleVectorsTest {
    static Stream<Arguments> vectors() {
        return Cases.vectors().map(one -> Arguments.of(one.get("name").asString(), one));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("vectors")
    void a_case_stands_as_its_vector_says(String name, JsonNode vector) {
        Standing standing = Cases.standing(vector);

        JsonNode expected = vector.get("expect");
        List<JsonNode> top = expected.get("top5").valueStream().toList();
        for (int i = 0; i < top.size(); i++) {
            Standing.Likely likely = standing.causes().get(i);
            assertThat(likely.cause()).isEqualTo(top.get(i).get(0).asString());
            assertThat(likely.probability()).isCloseTo(top.get(i).get(1).asDouble(), within(1e-6));
        }
        assertThat(Cases.words(standing.next()))
                .isEqualTo(expected.get("next").get(0).asString() + " "
                        + expected.get("next").get(1).asString());
        JsonNode clash = expected.get("contradiction");
        assertThat(standing.clash()).isEqualTo(clash.isNull() ? Optional.empty() : Optional.of(clash.asString()));
    }
}
