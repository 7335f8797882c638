package app.chervil.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the documents name must exist. */
class DocumentsTest {
    private static final Path ROOT = Path.of("..");

    @ParameterizedTest
    @ValueSource(strings = {"ARCHITECTURE.md", "docs/sources.md"})
    void every_type_and_file_a_document_names_exists(String document) throws IOException {
        Set<String> files = sources().map(file -> file.getFileName().toString()).collect(Collectors.toSet());

        assertThat(found(document, "`([A-Z][A-Za-z]+)(?:\\.[a-z]\\w*)?`"))
                .isNotEmpty()
                .allSatisfy(name -> assertThat(files.contains(name + ".java") || files.contains(name + ".vue"))
                        .as(name)
                        .isTrue());
        assertThat(found(document, "`([A-Za-z]+\\.(?:vue|ts))`")).allMatch(files::contains);
    }

    @ParameterizedTest
    @ValueSource(strings = {"README.md", "ARCHITECTURE.md"})
    void every_link_leads_somewhere(String document) throws IOException {
        assertThat(found(document, "\\]\\(([^)#]+)\\)"))
                .allSatisfy(link -> assertThat(ROOT.resolve(link)).exists());
    }

    @Test
    void every_command_of_the_readme_is_known() throws IOException {
        String script = Files.readString(ROOT.resolve("chervil"));

        assertThat(found("README.md", "\\./chervil ([a-z]+)")).isNotEmpty().allSatisfy(command -> assertThat(script)
                .containsPattern("(?m)^  (\\w+\\|)*" + command + "(\\|\\w+)*\\)"));
    }

    @Test
    void every_cited_source_has_its_section() throws IOException {
        Set<String> sections = found("docs/sources.md", "(?m)^## (.+)$").stream()
                .map(title -> title.toLowerCase(Locale.ROOT).replace(' ', '-'))
                .collect(Collectors.toSet());
        List<String> cited = sources()
                .filter(file -> file.toString().endsWith(".java"))
                .flatMap(file -> matches(read(file), "sources\\.md#([a-z-]+)").stream())
                .toList();

        assertThat(cited).isNotEmpty().allMatch(sections::contains);
    }

    private static List<String> found(String document, String pattern) throws IOException {
        return matches(Files.readString(ROOT.resolve(document)), pattern);
    }

    private static List<String> matches(String text, String pattern) {
        return Pattern.compile(pattern)
                .matcher(text)
                .results()
                .map((MatchResult match) -> match.group(1))
                .distinct()
                .toList();
    }

    private static Stream<Path> sources() {
        return Stream.of("core/src", "sim/src", "server/src", "web/src", "e2e/src")
                .flatMap(folder -> {
                    try {
                        return Files.walk(ROOT.resolve(folder)).filter(Files::isRegularFile);
                    } catch (IOException failure) {
                        throw new java.io.UncheckedIOException(failure);
                    }
                });
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        }
    }
}
