package app.chervil.core.notebook;

import app.chervil.core.calc.Unit;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.notebook.Key.Column;
import app.chervil.core.notebook.Key.Use;
import app.chervil.core.notebook.Key.Work;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How a table is most likely meant, for its keeper to set right: which column says what, what its words stand for. */
public final class Guess {
    private static final Map<StageKind, List<String>> STAGES = stages();
    private static final List<String> WHOLE = List.of(
            "canister",
            "whole filter",
            "full clean",
            "filter clean",
            "clean filter",
            "cleaned filter",
            "deep clean",
            "filter service",
            "serviced filter",
            "opened filter",
            "cleaned the filter",
            "filter opened");
    private static final Map<Finding, Pattern> GRADES = grades();
    private static final Map<Pattern, Set<CareAction>> VERBS = verbs();

    private static final Pattern BARELY =
            Pattern.compile("\\b(?:slight\\w*|barely|hardly|(?:a )?(?:little|bit|tad)|not (?:very|too|so|bad))\\b");
    private static final Pattern DURATION = Pattern.compile("\\d\\s*(?:min|h)|\\d:\\d\\d", Pattern.CASE_INSENSITIVE);
    private static final Pattern US_FLOW = Pattern.compile("\\d\\s*(?:gph|gal)", Pattern.CASE_INSENSITIVE);

    /** Words that say what was done or to what, and would say how dirty it was if they stood alone. */
    private static final Pattern OF_WORK =
            Pattern.compile("\\b(?:clean|full|fine|medium|coarse|solid|some|bit|little|half)\\b");

    /** Work that was thought of, not done. */
    private static final Pattern NOT_DONE = Pattern.compile(
            "\\b(?:no|not|never|didn.?t|skip\\w*|forgot|without|next|to ?do|need\\w*|order\\w*|buy|bought|should|soon)\\b");

    private final List<Filter> filters;

    public Guess(List<Filter> filters) {
        this.filters = List.copyOf(filters);
    }

    /**
     * The key that fits a table best.
     *
     * @param usual order of numbers in a date where the table does not tell
     * @param flowUnit in which flows are given where no cell says
     */
    public Key of(Notebook notebook, DayOrder usual, Unit flowUnit) {
        List<Column> columns = columns(notebook, usual);
        List<String> days = columns.stream()
                .filter(column -> column.role() == Role.DAY)
                .findFirst()
                .map(column -> notebook.written(columns.indexOf(column)))
                .orElse(List.of());
        boolean american = notebook.columns()
                .filter(i -> columns.get(i).role() == Role.FLOW_BEFORE
                        || columns.get(i).role() == Role.FLOW_AFTER)
                .boxed()
                .flatMap(i -> notebook.written(i).stream())
                .anyMatch(cell -> US_FLOW.matcher(cell).find());
        Unit flows = american && flowUnit != Unit.UK_GALLONS_AN_HOUR ? Unit.US_GALLONS_AN_HOUR : flowUnit;
        return with(notebook, columns, DayOrder.likeliest(days, usual), flows);
    }

    /** The key that fits best under columns that its keeper named. */
    public Key with(Notebook notebook, List<Column> told, DayOrder order, Unit flowUnit) {
        List<Column> columns = new ArrayList<>(told);
        while (columns.size() < notebook.headings().size()) {
            columns.add(Column.of(Role.NOTHING));
        }
        Map<String, Work> work = new LinkedHashMap<>();
        Map<String, Finding> grades = new LinkedHashMap<>();
        notebook.columns().forEach(i -> {
            Role role = columns.get(i).role();
            if (role == Role.WORK) {
                notebook.written(i).stream()
                        .flatMap(cell -> Phrase.parts(cell).stream())
                        .forEach(part -> work.computeIfAbsent(Phrase.key(part), this::work));
            } else if (role == Role.FOUND || role == Role.TASK) {
                notebook.written(i).stream().map(Phrase::key).forEach(word -> grade(word)
                        .ifPresent(found -> grades.putIfAbsent(word, found)));
            }
        });
        return new Key(columns, order, true, flowUnit, work, grades);
    }

    private List<Column> columns(Notebook notebook, DayOrder usual) {
        List<Column> columns = new ArrayList<>();
        notebook.columns().forEach(i -> columns.add(column(notebook, i)));
        // A column of days is one whatever it is called, and there is one of them.
        notebook.columns()
                .boxed()
                .max(Comparator.comparingDouble(i -> dayShare(notebook.written(i), usual)))
                .filter(i -> dayShare(notebook.written(i), usual) >= 0.5)
                .ifPresent(day -> {
                    columns.replaceAll(column -> column.role() == Role.DAY ? Column.of(Role.NOTHING) : column);
                    columns.set(day, Column.of(Role.DAY));
                });
        return columns;
    }

    private static double dayShare(List<String> written, DayOrder usual) {
        return written.isEmpty()
                ? 0
                : (double) DayOrder.likeliest(written, usual).readable(written) / written.size();
    }

    private Column column(Notebook notebook, int i) {
        String heading = notebook.headings().get(i);
        Optional<Role> role = Role.of(heading).or(() -> ofCells(notebook.written(i)));
        if (role.isPresent()) {
            boolean flow = role.get() == Role.FLOW_BEFORE || role.get() == Role.FLOW_AFTER;
            return new Column(
                    role.get(),
                    flow && filters.size() == 1 ? OptionalLong.of(filters.get(0).id()) : OptionalLong.empty());
        }
        Set<Long> tasks = work(Phrase.key(heading)).tasks();
        return tasks.size() == 1
                ? new Column(Role.TASK, OptionalLong.of(tasks.iterator().next()))
                : Column.of(heading.isBlank() ? Role.NOTHING : Role.NOTE);
    }

    /** What a column says by its cells alone; empty if they could say anything. */
    private static Optional<Role> ofCells(List<String> written) {
        if (mostly(written, cell -> grade(Phrase.key(cell)).isPresent())) {
            return Optional.of(Role.FOUND);
        }
        boolean lasting =
                written.stream().anyMatch(cell -> DURATION.matcher(cell).find());
        return lasting && mostly(written, cell -> History.minutes(cell).isPresent())
                ? Optional.of(Role.MINUTES)
                : Optional.empty();
    }

    private static boolean mostly(List<String> written, Predicate<String> holds) {
        return written.stream().filter(holds).count() * 2 > written.size();
    }

    /** What a phrase most likely means: work at one filter whose name or stages it names, or a note. */
    Work work(String phrase) {
        Optional<Finding> found = grade(phrase);
        if (NOT_DONE.matcher(phrase).find()) {
            return Work.NOTE;
        }
        List<Filter> named = filters.stream()
                .filter(filter -> phrase.contains(Phrase.key(filter.name())))
                .toList();
        List<Set<Long>> meant = (named.isEmpty() ? filters : named)
                .stream()
                        .map(filter -> tasks(filter, phrase))
                        .filter(one -> !one.isEmpty())
                        .toList();
        // What could be said of two filters is asked.
        boolean clear = meant.size() == 1;
        return clear
                ? new Work(Use.DONE, meant.get(0), grade(OF_WORK.matcher(phrase).replaceAll("")))
                : new Work(Use.NOTED, Set.of(), found);
    }

    private static Set<Long> tasks(Filter filter, String phrase) {
        int longest = filter.stages().stream()
                .mapToInt(stage -> fit(stage, phrase))
                .max()
                .orElse(0);
        if (longest == 0) {
            boolean whole = WHOLE.stream().anyMatch(phrase::contains)
                    || (phrase.contains(Phrase.key(filter.name())) && phrase.contains("clean"));
            return whole ? ids(filter, task -> task.stageId().isEmpty() && task.action() == CareAction.OPEN) : Set.of();
        }
        List<FilterStage> stages = filter.stages().stream()
                .filter(stage -> fit(stage, phrase) == longest)
                .toList();
        return stages.stream()
                .flatMap(stage -> done(filter, stage, phrase).stream())
                .collect(Collectors.toSet());
    }

    /** How long a name of a stage the phrase holds; its keeper's own label counts for more than any other. */
    private static int fit(FilterStage stage, String phrase) {
        String label = Phrase.key(stage.label());
        if (!label.isEmpty() && phrase.contains(label)) {
            return 100 + label.length();
        }
        if (stage.kind() == StageKind.PREFILTER_SPONGE && phrase.contains("intake")) {
            // Whatever sits on the intake is the pre-filter, be it called sponge or foam.
            return 50;
        }
        return STAGES.getOrDefault(stage.kind(), List.of()).stream()
                .filter(phrase::contains)
                .mapToInt(String::length)
                .max()
                .orElse(0);
    }

    /** Of several things done to a stage the one whose verb stands there, or the first. */
    private static Set<Long> done(Filter filter, FilterStage stage, String phrase) {
        Set<CareAction> said = VERBS.entrySet().stream()
                .filter(verb -> verb.getKey().matcher(phrase).find())
                .flatMap(verb -> verb.getValue().stream())
                .collect(Collectors.toSet());
        Set<Long> fitting = ids(filter, task -> task.on(stage) && said.contains(task.action()));
        return (fitting.isEmpty() ? ids(filter, task -> task.on(stage)) : fitting)
                .stream().sorted().limit(1).collect(Collectors.toSet());
    }

    private static Set<Long> ids(Filter filter, Predicate<FilterTask> which) {
        return filter.inUse().stream().filter(which).map(FilterTask::id).collect(Collectors.toSet());
    }

    /** How dirty a word says it was; of several the fullest, unless it says that it was little. */
    static Optional<Finding> grade(String word) {
        if (BARELY.matcher(word).find()) {
            return Optional.of(Finding.LIGHT);
        }
        return GRADES.entrySet().stream()
                .filter(one -> one.getValue().matcher(word).find())
                .map(Map.Entry::getKey)
                .max(Comparator.naturalOrder());
    }

    private static Map<Finding, Pattern> grades() {
        Map<Finding, Pattern> grades = new EnumMap<>(Finding.class);
        // "Cleaned" is what was done, "clean" what was found.
        grades.put(Finding.CLEAN, Pattern.compile("\\b(?:clean|spotless|like new|nothing)\\b"));
        grades.put(
                Finding.LIGHT,
                Pattern.compile("\\b(?:light\\w*|slight\\w*|(?:a )?little|bit|fine|ok|okay|not bad|some)\\b"));
        grades.put(Finding.MODERATE, Pattern.compile("\\b(?:moderate\\w*|medium|half|average|so-so|normal|usual)\\b"));
        grades.put(
                Finding.HEAVY,
                Pattern.compile(
                        "\\b(?:heavy|heavily|dirty|brown|very|bad|full|lots|thick|nasty|gross|gunky|slimy)\\b"));
        grades.put(
                Finding.CLOGGED,
                Pattern.compile(
                        "\\b(?:clogged|blocked|filthy|stuck|overflow(?:ed|ing)?|packed|solid|bypass\\w*|choked)\\b"));
        return grades;
    }

    private static Map<Pattern, Set<CareAction>> verbs() {
        Map<Pattern, Set<CareAction>> verbs = new LinkedHashMap<>();
        verbs.put(
                Pattern.compile("\\b(?:rins|wash|clean|swish|squeez|scrub|wip|brush|hose)\\w*"),
                Set.of(
                        CareAction.RINSE,
                        CareAction.CLEAN,
                        CareAction.CLEAR,
                        CareAction.SQUEEZE,
                        CareAction.DIP,
                        CareAction.BRUSH));
        verbs.put(
                Pattern.compile("\\b(?:new|chang|replac|swap|renew|fresh)\\w*"),
                Set.of(CareAction.CHANGE, CareAction.REPLACE));
        verbs.put(Pattern.compile("\\b(?:check|inspect|greas|lub|silicon)\\w*"), Set.of(CareAction.INSPECT));
        verbs.put(Pattern.compile("\\b(?:descal|vinegar|citric)\\w*"), Set.of(CareAction.DESCALE));
        verbs.put(Pattern.compile("\\bregenerat\\w*"), Set.of(CareAction.REGENERATE));
        verbs.put(Pattern.compile("\\b(?:siphon|syphon|vac)\\w*"), Set.of(CareAction.SIPHON));
        verbs.put(Pattern.compile("\\bopen\\w*"), Set.of(CareAction.OPEN));
        return verbs;
    }

    private static Map<StageKind, List<String>> stages() {
        Map<StageKind, List<String>> words = new EnumMap<>(StageKind.class);
        words.put(StageKind.STRAINER, List.of("strainer", "intake screen", "intake guard"));
        words.put(
                StageKind.PREFILTER_SPONGE,
                List.of("pre-filter", "prefilter", "pre filter", "intake sponge", "intake foam", "intake"));
        words.put(StageKind.SPONGE, List.of("sponge", "foam"));
        words.put(StageKind.AIR_LINE, List.of("air line", "airline", "air stone", "airstone"));
        words.put(StageKind.OVERFLOW, List.of("overflow", "weir"));
        words.put(StageKind.SOCK, List.of("sock"));
        words.put(StageKind.FLEECE_ROLL, List.of("fleece", "roller"));
        words.put(StageKind.SETTLING, List.of("settling"));
        words.put(StageKind.SKIMMER, List.of("skimmer", "cup"));
        words.put(StageKind.REFUGIUM, List.of("refugium", "macro"));
        words.put(StageKind.TOP_OFF, List.of("top-off", "topoff", "reserve"));
        words.put(StageKind.OUTLET, List.of("spray bar", "outlet"));
        words.put(StageKind.COARSE_FOAM, List.of("coarse foam", "coarse", "foam", "sponge"));
        words.put(StageKind.MEDIUM_FOAM, List.of("medium foam", "foam"));
        words.put(StageKind.FINE_PAD, List.of("fine pad", "polishing pad", "pad"));
        words.put(StageKind.FLOSS, List.of("floss", "filter wool", "wool"));
        words.put(StageKind.CARTRIDGE, List.of("cartridge"));
        words.put(StageKind.BIO_MEDIA, List.of("bio media", "biomedia", "bio", "ceramic", "media"));
        words.put(StageKind.CARBON, List.of("carbon", "charcoal"));
        words.put(StageKind.RESIN, List.of("resin"));
        words.put(StageKind.PHOSPHATE_REMOVER, List.of("phosphate remover", "phosphate"));
        words.put(StageKind.UV_LAMP, List.of("uv lamp", "uv bulb", "uv"));
        words.put(StageKind.UV_SLEEVE, List.of("uv sleeve", "sleeve", "quartz"));
        words.put(StageKind.IMPELLER, List.of("impeller", "rotor"));
        words.put(StageKind.SEALS, List.of("o-ring", "o ring", "oring", "seal", "gasket"));
        words.put(StageKind.HOSES, List.of("hose", "tubing", "tube", "pipes"));
        words.put(StageKind.RETURN_PUMP, List.of("return pump", "pump"));
        return Map.copyOf(words);
    }

    /** Every phrase and every word of the columns that tell of work and findings, with how often each stands there. */
    public static Map<String, Integer> counted(Notebook notebook, Key key, Set<Role> roles) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        notebook.columns()
                .filter(i -> i < key.columns().size()
                        && roles.contains(key.columns().get(i).role()))
                .boxed()
                .flatMap(i -> notebook.written(i).stream())
                .flatMap(cell -> roles.contains(Role.WORK) ? Phrase.parts(cell).stream() : Stream.of(cell))
                .map(Phrase::key)
                .filter(word -> !word.isEmpty())
                .forEach(word -> counts.merge(word, 1, Integer::sum));
        return counts;
    }
}
