package app.chervil.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.codeUnits;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.time.Clock;
import java.util.Map;
import java.util.Set;
import org.apache.ibatis.annotations.Mapper;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

@AnalyzeClasses(packages = "app.chervil.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule features_have_no_cycles =
            slices().matching("app.chervil.server.(*)..").should().beFreeOfCycles();

    /** Features by floor, each with those it may use; every feature may use {@link #GROUND}. */
    private static final Map<String, Set<String>> ARROWS = Map.ofEntries(
            // 1: the ground
            Map.entry("problem", Set.of()),
            Map.entry("storage", Set.of()),
            Map.entry("table", Set.of()),
            Map.entry("schedule", Set.of()),
            Map.entry("web", Set.of("account")),
            Map.entry("upkeep", Set.of("account", "web")),
            // 2: people who sign in
            Map.entry("account", Set.of()),
            // 3: what a site has
            Map.entry("tank", Set.of("account")),
            Map.entry("filter", Set.of("account", "tank")),
            // 4: its picture
            Map.entry("sums", Set.of("account", "tank")),
            Map.entry("book", Set.of("account", "tank", "filter")),
            // 5: what is done, seen and had; each owns its tables and its commands
            Map.entry("visit", Set.of("account", "tank", "filter", "book")),
            Map.entry("water", Set.of("account", "tank", "filter", "book")),
            Map.entry("interval", Set.of("account", "tank", "filter", "book")),
            Map.entry("chore", Set.of("account", "tank", "book", "followup")),
            Map.entry("followup", Set.of("account", "tank")),
            Map.entry("people", Set.of("account", "tank", "book")),
            Map.entry("stock", Set.of("account", "tank", "book", "visit")),
            Map.entry("trouble", Set.of("account", "filter", "book", "followup")),
            Map.entry("trial", Set.of("account", "tank", "filter", "book", "water", "stock", "followup")),
            // 6: what follows
            Map.entry("plan", Set.of("account", "book", "people")),
            Map.entry("rounds", Set.of("account", "book", "plan", "visit", "water", "followup")),
            Map.entry(
                    "procedure",
                    Set.of("account", "tank", "filter", "book", "visit", "water", "chore", "followup", "sums")),
            Map.entry("compare", Set.of("account", "book")),
            Map.entry("media", Set.of("account", "tank", "filter", "book", "water", "chore", "followup")),
            Map.entry("notebook", Set.of("account", "book", "tank", "visit")),
            Map.entry("future", Set.of("account", "book", "water", "stock")),
            Map.entry("calendar", Set.of("account", "plan")),
            Map.entry("mail", Set.of("account", "plan")),
            Map.entry(
                    "device",
                    Set.of("account", "tank", "filter", "book", "interval", "visit", "procedure", "followup", "mail")),
            Map.entry("archive", Set.of("account", "book", "tank", "visit", "water", "calendar")),
            Map.entry(
                    "demo",
                    Set.of(
                            "account",
                            "tank",
                            "filter",
                            "visit",
                            "water",
                            "interval",
                            "chore",
                            "people",
                            "stock",
                            "trial",
                            "sums",
                            "trouble",
                            "book",
                            "device",
                            "media",
                            "mail")));

    private static final Set<String> GROUND = Set.of("problem", "storage", "table");

    @ArchTest
    static final ArchRule every_arrow_is_declared =
            classes().that().resideInAPackage("app.chervil.server.*..").should(useOnlyWhatIsDeclared());

    @ArchTest
    static final ArchRule requests_and_views_stay_in_their_feature = classes()
            .that()
            .haveNameMatching(".*(Input|View)(\\$.*)?")
            .and()
            .resideOutsideOfPackage("..web..")
            .should(beUsedInTheirPackageOrBy(
                    // A guided service, old notes and a button's press end as logged ones, and a what-if begins from
                    // what water and stores tell.
                    Set.of("demo", "procedure", "notebook", "device", "future", "stock")));

    @ArchTest
    static final ArchRule controllers_go_through_operations = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat()
            .areAnnotatedWith(Mapper.class);

    @ArchTest
    static final ArchRule mappers_stay_in_their_feature =
            classes().that().areAnnotatedWith(Mapper.class).should(beUsedInTheirPackageOnly());

    @ArchTest
    static final ArchRule a_mapper_writes_all_its_statements_in_one_place =
            classes().that().areAnnotatedWith(Mapper.class).should(haveNoAnnotationsBesideTheirXml());

    /** Others meet JSON as it comes from outside: requests, messages of devices, passkeys, archives. */
    @ArchTest
    static final ArchRule what_is_stored_is_made_json_by_its_handler = noClasses()
            .that()
            .resideOutsideOfPackages("..server.storage", "..server.web", "..server.archive", "..server.demo")
            .and()
            .doNotHaveSimpleName("Broker")
            .and()
            .doNotHaveSimpleName("PasskeyOperations")
            .should()
            .dependOnClassesThat()
            .areAssignableTo(ObjectMapper.class);

    @ArchTest
    static final ArchRule transactions_belong_to_operations = methods()
            .that()
            .areAnnotatedWith(Transactional.class)
            .and()
            .areDeclaredInClassesThat()
            .resideOutsideOfPackage("..demo..")
            .should()
            .beDeclaredInClassesThat()
            .haveSimpleNameEndingWith("Operations");

    @ArchTest
    static final ArchRule services_are_operations =
            classes().that().areAnnotatedWith(Service.class).should().haveSimpleNameEndingWith("Operations");

    /** Values of records and of the constants of enums are data. */
    @ArchTest
    static final ArchRule nothing_takes_more_than_five_parameters = codeUnits()
            .that(describe(
                    "do something",
                    unit -> !unit.getModifiers().contains(JavaModifier.SYNTHETIC)
                            && (!unit.isConstructor()
                                    || !(unit.getOwner().isRecord()
                                            || unit.getOwner().isEnum()))))
            .should()
            .haveRawParameterTypes(describe("five at most", types -> types.size() <= 5));

    @ArchTest
    static final ArchRule injected_fields_are_final = fields().that()
            .areDeclaredInClassesThat()
            .haveSimpleNameEndingWith("Operations")
            .should()
            .beFinal();

    @ArchTest
    static final ArchRule time_comes_from_the_clock = noClasses()
            .should()
            .callMethodWhere(describe(
                    "now() without a Clock",
                    (JavaAccess<?> call) ->
                            call.getTarget().getOwner().getPackageName().equals("java.time")
                                    && call.getTarget().getName().equals("now")
                                    && !call.getTarget().getFullName().contains(Clock.class.getName())));

    @ArchTest
    static final ArchRule packages_are_named_for_the_trade = noClasses()
            .should()
            .resideInAnyPackage(
                    "..util..", "..common..", "..model..", "..dto..", "..impl..", "..helper..", "..manager..");

    private static String feature(JavaClass one) {
        String inside = one.getPackageName().substring("app.chervil.server".length());
        return inside.isEmpty() ? "" : inside.substring(1).split("\\.")[0];
    }

    private static ArchCondition<JavaClass> useOnlyWhatIsDeclared() {
        return new ArchCondition<>("use only features that are declared") {
            @Override
            public void check(JavaClass one, ConditionEvents events) {
                String from = feature(one);
                Set<String> allowed = ARROWS.getOrDefault(from, Set.of());
                if (!ARROWS.containsKey(from)) {
                    events.add(SimpleConditionEvent.violated(one, from + " stands on no floor"));
                }
                one.getDirectDependenciesFromSelf().stream()
                        .filter(use -> use.getTargetClass().getPackageName().startsWith("app.chervil.server."))
                        .filter(use -> {
                            String to = feature(use.getTargetClass());
                            return !to.equals(from) && !GROUND.contains(to) && !allowed.contains(to);
                        })
                        .forEach(use -> events.add(SimpleConditionEvent.violated(one, use.getDescription())));
            }
        };
    }

    private static ArchCondition<JavaClass> beUsedInTheirPackageOrBy(Set<String> others) {
        return new ArchCondition<>("be used in their feature, or by " + others) {
            @Override
            public void check(JavaClass record, ConditionEvents events) {
                record.getDirectDependenciesToSelf().stream()
                        .filter(use -> !feature(use.getOriginClass()).equals(feature(record)))
                        .filter(use -> !others.contains(feature(use.getOriginClass())))
                        .forEach(use -> events.add(SimpleConditionEvent.violated(record, use.getDescription())));
            }
        };
    }

    private static ArchCondition<JavaClass> beUsedInTheirPackageOnly() {
        return new ArchCondition<>("be used in their package only") {
            @Override
            public void check(JavaClass mapper, ConditionEvents events) {
                mapper.getDirectDependenciesToSelf().stream()
                        .filter(use -> !use.getOriginClass().getPackage().equals(mapper.getPackage()))
                        .forEach(use -> events.add(SimpleConditionEvent.violated(mapper, use.getDescription())));
            }
        };
    }

    private static ArchCondition<JavaClass> haveNoAnnotationsBesideTheirXml() {
        return new ArchCondition<>("have either all statements in XML or none") {
            @Override
            public void check(JavaClass mapper, ConditionEvents events) {
                String xml = '/' + mapper.getName().replace('.', '/') + ".xml";
                boolean inXml = ArchitectureTest.class.getResource(xml) != null;
                mapper.getMethods().stream()
                        .filter(method -> inXml
                                && method.getAnnotations().stream().anyMatch(one -> one.getRawType()
                                        .getPackageName()
                                        .startsWith("org.apache.ibatis")))
                        .forEach(method -> events.add(SimpleConditionEvent.violated(mapper, method.getDescription())));
            }
        };
    }
}
