package app.chervil.server.notebook;

import app.chervil.core.calc.Unit;
import app.chervil.core.interval.Finding;
import app.chervil.core.notebook.DayOrder;
import app.chervil.core.notebook.Key;
import app.chervil.core.notebook.Key.Use;
import app.chervil.core.notebook.Key.Work;
import app.chervil.core.notebook.Role;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How a table is read, as the API writes it.
 *
 * @param stoodSince absent unless the tank is older than was said of it
 */
record KeyInput(
        @NotNull @Size(max = 100, message = "At most 100 columns.")
        List<@Valid ColumnInput> columns,

        @NotNull(message = "Choose one.") DayOrder order,
        boolean dayFromAbove,
        @NotNull(message = "Choose one.") Unit flowUnit,

        @NotNull @Size(max = 1000, message = "At most 1,000 phrases.")
        List<@Valid PhraseInput> work,

        @NotNull @Size(max = 1000, message = "At most 1,000 words.")
        List<@Valid GradeInput> grades,

        @Nullable LocalDate stoodSince) {

    /** Phrases a key holds; what is rarer is kept as a note. */
    private static final int MOST = 1000;

    /**
     * One column.
     *
     * @param subject the task of a column of one task, the filter of a flow
     */
    record ColumnInput(
            @NotNull(message = "Choose one.") Role role,
            @Nullable Long subject) {}

    /** What a phrase means. */
    record PhraseInput(
            @NotNull @Size(max = 2000) String phrase,
            @NotNull(message = "Choose one.") Use use,

            @NotNull @Size(max = 40, message = "At most 40 tasks.")
            Set<Long> tasks,

            @Nullable Finding found) {}

    /** What a word in a column of findings means; absent if it says nothing. */
    record GradeInput(
            @NotNull @Size(max = 2000) String word,
            @Nullable Finding found) {}

    static KeyInput of(Key key, Map<String, Integer> phrases, Map<String, Integer> words) {
        return new KeyInput(
                key.columns().stream()
                        .map(column -> new ColumnInput(
                                column.role(),
                                column.subject().isPresent() ? column.subject().getAsLong() : null))
                        .toList(),
                key.order(),
                key.dayFromAbove(),
                key.flowUnit(),
                counted(phrases).stream()
                        .map(PhraseCount::words)
                        .limit(MOST)
                        .map(phrase -> phrase(phrase, key.work().getOrDefault(phrase, Work.NOTE)))
                        .toList(),
                counted(words).stream()
                        .map(PhraseCount::words)
                        .limit(MOST)
                        .map(word -> new GradeInput(word, key.grades().get(word)))
                        .toList(),
                null);
    }

    private static PhraseInput phrase(String phrase, Work work) {
        return new PhraseInput(phrase, work.use(), work.tasks(), work.found().orElse(null));
    }

    List<Key.Column> told() {
        return columns.stream()
                .map(column -> new Key.Column(
                        column.role(),
                        column.subject() == null ? OptionalLong.empty() : OptionalLong.of(column.subject())))
                .toList();
    }

    Key key() {
        Map<String, Work> phrases = new HashMap<>();
        work.forEach(one -> phrases.put(
                one.phrase(),
                new Work(one.use(), one.use() == Use.DONE ? one.tasks() : Set.of(), Optional.ofNullable(one.found()))));
        Map<String, Finding> words = new HashMap<>();
        grades.forEach(one -> {
            if (one.found() != null) {
                words.put(one.word(), one.found());
            }
        });
        return new Key(told(), order, dayFromAbove, flowUnit, phrases, words);
    }

    /** How often words stand in a table, the most frequent first. */
    static List<PhraseCount> counted(Map<String, Integer> counts) {
        return counts.entrySet().stream()
                .map(one -> new PhraseCount(one.getKey(), one.getValue()))
                .sorted(Comparator.comparingInt(PhraseCount::times).reversed())
                .toList();
    }

    record PhraseCount(String words, int times) {}
}
