package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.interval.CalibratedEye.Graded;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums on the grid of docs/sources.md#calibrated-eye, worked out apart from this code. */
class CalibratedEyeTest {
    /** Loadings and grades, 0 clean to 4 clogged. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.2                       | 2         |  0.240698 | 0.095703",
                "0.05 0.2 0.46 0.82 1.2    | 0 1 2 3 4 |  0.055181 | 0.045885",
                "0.05 0.2 0.46 0.82 1.2    | 1 2 3 4 4 |  0.550974 | 0.050921",
                "0.28 0.56 1.2             | 0 1 3     | -0.459499 | 0.059698"
            })
    void graded_pictures_tell_how_a_person_leans(String loadings, String grades, double bias, double variance) {
        CalibratedEye eye = CalibratedEye.of(graded(loadings, grades));

        assertThat(eye.bias()).isCloseTo(bias, within(1e-6));
        assertThat(eye.variance()).isCloseTo(variance, within(1e-6));
    }

    @Test
    void of_no_picture_it_knows_what_people_are_like() {
        CalibratedEye eye = CalibratedEye.of(List.of());

        assertThat(eye.bias()).isCloseTo(0, within(1e-12));
        assertThat(eye.variance()).isCloseTo(0.122468, within(1e-6));
    }

    /** Half a notch stricter: what this person calls moderate is emptier than what others do, and surer. */
    @Test
    void a_grade_means_what_this_person_means_by_it() {
        CalibratedEye strict = new CalibratedEye(0.5, 0.02);

        assertThat(strict.logCentre(Finding.MODERATE)).isCloseTo(Math.log(0.477) - 0.5, within(1e-12));
        assertThat(strict.variance(Finding.MODERATE)).isCloseTo(0.65 * 0.65 - 0.0625 + 0.02, within(1e-12));
        assertThat(CalibratedEye.UNTESTED.variance(Finding.CLOGGED)).isCloseTo(0.465 * 0.465, within(1e-12));
    }

    @Test
    void no_picture_is_empty() {
        assertThatThrownBy(() -> new Graded(0, Finding.CLEAN)).isInstanceOf(IllegalArgumentException.class);
    }

    private static List<Graded> graded(String loadings, String grades) {
        double[] filled = Arrays.stream(loadings.trim().split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        int[] given = Arrays.stream(grades.trim().split(" "))
                .mapToInt(Integer::parseInt)
                .toArray();
        return IntStream.range(0, filled.length)
                .mapToObj(i -> new Graded(filled[i], Finding.ofGrade(given[i])))
                .toList();
    }
}
