package app.chervil.sim.trouble;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;

/** The lists of a careful keeper without a finder, read from checklists.txt beside this class. */
final class Checklists {
    private final Map<String, List<String>> lists = new HashMap<>();

    /**
     * One line of a list.
     *
     * @param look id of the question; empty to go ahead without looking
     * @param answers that tell
     */
    record Entry(String look, Set<String> answers, String repair) {}

    Checklists() {
        try (InputStream file = Checklists.class.getResourceAsStream("checklists.txt")) {
            String text = new String(Objects.requireNonNull(file).readAllBytes(), StandardCharsets.UTF_8);
            text.lines().filter(line -> !line.startsWith("#")).forEach(line -> {
                List<String> words = Arrays.asList(line.split(" "));
                lists.put(words.get(0), words.subList(1, words.size()));
            });
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** The list of a complaint; empty where there is none. */
    List<Entry> of(String complaint) {
        return lists.getOrDefault(complaint, List.of()).stream()
                .flatMap(this::read)
                .toList();
    }

    private Stream<Entry> read(String word) {
        if (word.startsWith("@")) {
            return of(word.substring(1)).stream();
        }
        String[] parts = word.split(":", -1);
        return Stream.of(new Entry(parts[0], Set.of(parts[1].split(",")), parts[2]));
    }
}
