package app.chervil.core.trouble;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.trouble.Modifier.Range;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.xml.sax.SAXException;

/** Reads the network from network.xml, beside this class. */
final class NetworkReader {
    private static final String NAME = "network.xml";

    private NetworkReader() {}

    static Network shipped() {
        try (InputStream file = NetworkReader.class.getResourceAsStream(NAME)) {
            return network(DocumentBuilderFactory.newDefaultInstance()
                    .newDocumentBuilder()
                    .parse(Objects.requireNonNull(file, NAME))
                    .getDocumentElement());
        } catch (IOException | SAXException | ParserConfigurationException broken) {
            throw new IllegalStateException(NAME + " cannot be read", broken);
        }
    }

    private static Network network(Element root) {
        return new Network(
                judged(part(root, "judgement")),
                all(part(root, "complaints"), NetworkReader::complaint),
                all(part(root, "dangers"), NetworkReader::peril),
                all(part(root, "causes"), NetworkReader::cause),
                all(part(root, "questions"), NetworkReader::question),
                all(part(root, "repairs"), NetworkReader::repair));
    }

    private static Element part(Element root, String name) {
        return named(root, name).findFirst().orElseThrow();
    }

    private static Map<Judged, Network.Judgement> judged(Element values) {
        Map<String, Network.Judgement> byId = children(values)
                .collect(Collectors.toMap(
                        value -> value.getAttribute("name"),
                        value -> new Network.Judgement(number(value, "is"), value.getAttribute("because"))));
        Map<Judged, Network.Judgement> judged = new EnumMap<>(Judged.class);
        for (Judged one : Judged.values()) {
            judged.put(one, Objects.requireNonNull(byId.get(one.id()), one::id));
        }
        return judged;
    }

    private static Complaint complaint(Element from) {
        return new Complaint(
                from.getAttribute("id"), from.getAttribute("words"), kinds(from), words(from.getAttribute("dangers")));
    }

    private static Peril peril(Element from) {
        return new Peril(
                from.getAttribute("id"),
                text(from, "ask").orElseThrow(),
                named(from, "answer").map(NetworkReader::answer).toList(),
                number(from, "minutes"),
                text(from, "stop").orElseThrow(),
                Exit.valueOf(from.getAttribute("exit")));
    }

    private static Cause cause(Element from) {
        Map<FilterKind, String> byKind = named(from, "repair")
                .collect(Collectors.toMap(
                        one -> FilterKind.valueOf(one.getAttribute("kind")), one -> one.getAttribute("id")));
        return new Cause(
                from.getAttribute("id"),
                from.getAttribute("words"),
                fits(from),
                number(from, "rate"),
                shares(text(from, "shows").orElse(""), Function.identity()),
                children(from).flatMap(one -> modifier(one).stream()).toList(),
                new Cause.Mending(from.getAttribute("repair"), byKind, Bearing.valueOf(from.getAttribute("counts"))),
                new Cause.Danger(number(from, "power"), number(from, "animals")),
                from.getAttribute("because"));
    }

    private static Optional<Modifier> modifier(Element from) {
        String why = from.getAttribute("why");
        return Optional.ofNullable(
                switch (from.getTagName()) {
                    case "hazard" ->
                        new Modifier.Hazard(
                                feature(from), number(from, "scale"), number(from, "power"), range(from), why);
                    case "level" ->
                        new Modifier.Level(feature(from), number(from, "mid"), number(from, "width"), range(from), why);
                    case "recent" ->
                        new Modifier.Recent(
                                Touch.valueOf(from.getAttribute("tag")),
                                number(from, "times"),
                                number(from, "half-life-days"),
                                why);
                    case "flag" ->
                        new Modifier.Flag(
                                feature(from),
                                number(from, "yes"),
                                number(from, "no"),
                                why,
                                from.getAttribute("unless"));
                    case "step" ->
                        new Modifier.Step(
                                feature(from), number(from, "at"), number(from, "above"), number(from, "below"), why);
                    case "grade" -> new Modifier.ByGrade(feature(from), numbers(from.getAttribute("table")), why);
                    default -> null;
                });
    }

    private static Question question(Element from) {
        Map<String, List<Double>> rows = new LinkedHashMap<>();
        named(from, "row").forEach(row -> words(row.getAttribute("of"))
                .forEach(cause -> rows.put(cause, numbers(row.getAttribute("p")))));
        return new Question(
                from.getAttribute("id"),
                text(from, "ask").orElseThrow(),
                text(from, "caution"),
                fits(from),
                Set.copyOf(words(from.getAttribute("complaints"))),
                cost(from),
                named(from, "answer").map(NetworkReader::answer).toList(),
                rows,
                given(from, "reads"),
                from.getAttribute("because"));
    }

    private static Question.Answer answer(Element from) {
        return new Question.Answer(
                from.getAttribute("id"),
                from.getAttribute("words"),
                number(from, "leak"),
                given(from, "alarm"),
                given(from, "unsure-while"),
                stages(from));
    }

    private static Repair repair(Element from) {
        Optional<Repair.Task> task = given(from, "action")
                .map(action -> new Repair.Task(
                        CareAction.valueOf(action), given(from, "stage").map(StageKind::valueOf)));
        return new Repair(
                from.getAttribute("id"),
                from.getAttribute("words"),
                given(from, "caution"),
                cost(from),
                given(from, "exit").map(Exit::valueOf),
                task);
    }

    private static Cost cost(Element from) {
        return new Cost(
                number(from, "minutes"),
                shares(from.getAttribute("minutes-by-kind"), FilterKind::valueOf),
                (int) number(from, "disturbance"),
                from.hasAttribute("pump-off"),
                from.hasAttribute("buys"),
                from.hasAttribute("slow"));
    }

    private static Fits fits(Element from) {
        return new Fits(kinds(from), stages(from));
    }

    private static Set<StageKind> stages(Element from) {
        return words(from.getAttribute("needs")).stream()
                .map(StageKind::valueOf)
                .collect(Collectors.toSet());
    }

    private static Set<FilterKind> kinds(Element from) {
        return words(from.getAttribute("kinds")).stream()
                .map(FilterKind::valueOf)
                .collect(Collectors.toSet());
    }

    private static Feature feature(Element from) {
        return Feature.named(from.getAttribute("feature")).orElseThrow();
    }

    private static Range range(Element from) {
        return new Range(number(from, "low"), number(from, "high"));
    }

    /** A number; zero where it is not given. */
    private static double number(Element from, String name) {
        return given(from, name).map(Double::parseDouble).orElse(0.0);
    }

    private static Optional<String> given(Element from, String name) {
        return from.hasAttribute(name) ? Optional.of(from.getAttribute(name)) : Optional.empty();
    }

    private static Optional<String> text(Element from, String name) {
        return named(from, name).map(Element::getTextContent).findFirst();
    }

    private static <T> List<T> all(Element parent, Function<Element, T> read) {
        return children(parent).map(read).toList();
    }

    private static Stream<Element> named(Element parent, String name) {
        return children(parent).filter(child -> child.getTagName().equals(name));
    }

    private static Stream<Element> children(Element parent) {
        return IntStream.range(0, parent.getChildNodes().getLength())
                .mapToObj(parent.getChildNodes()::item)
                .filter(Element.class::isInstance)
                .map(Element.class::cast);
    }

    private static List<String> words(String list) {
        return list.isBlank() ? List.of() : Arrays.asList(list.trim().split(" +"));
    }

    private static List<Double> numbers(String list) {
        return words(list).stream().map(Double::parseDouble).toList();
    }

    private static <K> Map<K, Double> shares(String list, Function<String, K> key) {
        Map<K, Double> shares = new LinkedHashMap<>();
        for (String pair : words(list)) {
            int at = pair.indexOf('=');
            shares.put(key.apply(pair.substring(0, at)), Double.parseDouble(pair.substring(at + 1)));
        }
        return shares;
    }
}
