package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.Schools;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class GradeWordsTest {
    @ParameterizedTest
    @EnumSource(StageKind.class)
    void every_kind_has_five_different_short_anchors(StageKind kind) {
        assertThat(GradeWords.of(kind)).hasSize(5).doesNotHaveDuplicates().allMatch(words -> words.length() <= 48);
    }

    @Test
    void stages_that_are_graded_do_not_share_their_words_unless_they_are_alike() {
        List<StageKind> graded = Arrays.stream(StageKind.values())
                .filter(kind -> CareCatalogue.forStage(Stage.washable(kind), Schools.DEFAULT).stream()
                        .anyMatch(rule -> rule.graded()))
                .toList();

        assertThat(graded.stream().map(GradeWords::of).distinct())
                .as("foams are alike, and so are pad and floss")
                .hasSize(graded.size() - 2);
    }
}
