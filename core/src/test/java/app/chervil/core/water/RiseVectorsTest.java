package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.RiseFit.Band;
import app.chervil.core.water.RiseQuestion.Change;
import app.chervil.core.water.RiseQuestion.Kept;
import app.chervil.core.water.RiseQuestion.Tap;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a tank makes of a parameter. Expected numbers: vectors/water.json, from the prototype with which the rules were
 * measured (docs/sources.md#production); exact readings to 1e-3, ranges to 1 % of the rate's band and percent to 0.1.
 */
class RiseVectorsTest {
    static Stream<Arguments> fits() throws IOException {
        return cases("fit");
    }

    static Stream<Arguments> pools() throws IOException {
        return cases("pool");
    }

    static Stream<Arguments> trials() throws IOException {
        return cases("enough");
    }

    private static Stream<Arguments> cases(String kind) throws IOException {
        try (InputStream file = RiseVectorsTest.class.getResourceAsStream("/vectors/water.json")) {
            return JsonMapper.builder()
                    .build()
                    .readTree(file)
                    .valueStream()
                    .filter(one -> one.get("kind").asString().equals(kind))
                    .map(one -> Arguments.of(one.get("name").asString(), one));
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("fits")
    void a_fit_tells_what_its_vector_says(String name, JsonNode vector) {
        JsonNode input = vector.get("input");
        JsonNode expected = vector.get("expect");
        boolean scan = input.path("scan").asBoolean(true);
        RiseQuestion question = question(input);

        Optional<RiseFit> fit = scan ? RiseFit.lookingForUnlogged(question) : RiseFit.of(question);

        if (expected.has("fit")) {
            assertThat(fit).isEmpty();
            return;
        }
        RiseFit got = fit.orElseThrow();
        assertThat(got.scale()).as("scale").isCloseTo(expected.get("scale").asDouble(), within(1e-3));
        assertThat(got.correlation()).as("rho").isCloseTo(expected.get("rho").asDouble(), within(1e-3));
        assertThat(got.unlogged())
                .isEqualTo(expected.get("unlogged")
                        .valueStream()
                        .map(JsonNode::asDouble)
                        .toList());
        for (int way = 0; way < expected.get("rates").size(); way++) {
            double half = expected.at("/rates/" + way + "/1").asDouble();
            double tolerance = (question.hasRanges() ? 1e-2 : 1e-3) * half;
            assertThat(got.rate(way).estimate())
                    .as("rate")
                    .isCloseTo(expected.at("/rates/" + way + "/0").asDouble(), within(tolerance));
            assertThat(got.rate(way).half()).as("half").isCloseTo(half, within(tolerance));
        }
        for (JsonNode difference : expected.get("differences")) {
            judged(got, difference, question.hasRanges() ? 1e-2 : 1e-3);
        }
    }

    private static void judged(RiseFit got, JsonNode expected, double tolerance) {
        int first = expected.get("ways").asString().charAt(0) - '0';
        int other = expected.get("ways").asString().charAt(2) - '0';
        double half = expected.get("half").asDouble();
        Band difference = got.difference(other, first);
        assertThat(difference.estimate()).isCloseTo(expected.get("difference").asDouble(), within(tolerance * half));
        assertThat(difference.half()).isCloseTo(half, within(tolerance * half));
        String verdict = difference.low() > 0
                ? first + " rises less"
                : difference.high() < 0 ? other + " rises less" : "not told apart";
        assertThat(verdict).isEqualTo(expected.get("verdict").asString());
        Band percent = got.percent(other, first).orElseThrow();
        assertThat(percent.estimate()).isCloseTo(expected.at("/percent/0").asDouble(), within(0.3));
        assertThat(percent.low()).isCloseTo(expected.at("/percent/1").asDouble(), within(0.5));
        assertThat(percent.high()).isCloseTo(expected.at("/percent/2").asDouble(), within(0.5));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("pools")
    void several_tanks_are_pooled(String name, JsonNode vector) {
        List<Pooled.One> tanks = new ArrayList<>();
        for (int i = 0; i < vector.get("d").size(); i++) {
            tanks.add(new Pooled.One(
                    vector.get("d").get(i).asDouble(), vector.get("se").get(i).asDouble()));
        }

        Pooled pooled = Pooled.of(tanks);

        assertThat(pooled.difference().estimate())
                .isCloseTo(vector.at("/expect/difference").asDouble(), within(1e-4));
        assertThat(pooled.difference().half())
                .isCloseTo(vector.at("/expect/half").asDouble(), within(1e-4));
        assertThat(pooled.between()).isCloseTo(vector.at("/expect/between").asDouble(), within(1e-4));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("trials")
    void enough_readings_are_told(String name, JsonNode vector) {
        double error = vector.get("se").asDouble();
        double wanted = vector.get("wanted").asDouble();

        assertThat(Pooled.readingsWanted(vector.get("n").asInt(), error, wanted))
                .isEqualTo(vector.at("/expect/readings").asInt());
        assertThat(Pooled.power(error, wanted))
                .isCloseTo(vector.at("/expect/power").asDouble(), within(1e-4));
    }

    private static RiseQuestion question(JsonNode input) {
        double kit = input.get("n").asDouble();
        return new RiseQuestion(
                input.get("noise").asDouble(),
                kit,
                input.get("readings").valueStream().map(one -> seen(one, kit)).toList(),
                input.get("changes")
                        .valueStream()
                        .map(one -> new Change(
                                one.get("t").asDouble(), one.get("share").asDouble()))
                        .toList(),
                input.get("phases")
                        .valueStream()
                        .map(one -> new Kept(
                                one.get("from").asDouble(), one.get("way").asInt()))
                        .toList(),
                input.get("ways").asInt(),
                new Tap(input.path("tap").asDouble(0), input.path("tapSd").asDouble(0)),
                input.path("settle").asDouble(0),
                input.path("kits").valueStream().map(JsonNode::asDouble).toList());
    }

    private static Seen seen(JsonNode reading, double kit) {
        double day = reading.get("t").asDouble();
        if (reading.has("exact")) {
            return Seen.exact(day, reading.get("exact").asDouble());
        }
        if (reading.get("lo").isNull()) {
            return Seen.below(day, reading.get("hi").asDouble(), kit);
        }
        double high =
                reading.get("hi").isNull() ? Seen.NO_END : reading.get("hi").asDouble();
        return new Seen(day, reading.get("lo").asDouble(), high);
    }
}
