package app.chervil.core;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.codeUnits;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.chervil.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule the_core_is_plain_java = classes()
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage(
                    "java..", "javax.xml.parsers", "org.w3c.dom", "org.xml.sax", "app.chervil.core.."));

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
    static final ArchRule calc_rests_on_the_language_alone = only("calc");

    @ArchTest
    static final ArchRule tanks_rest_on_sums = only("tank", "calc");

    @ArchTest
    static final ArchRule filters_rest_on_tanks = only("filter", "tank", "calc");

    @ArchTest
    static final ArchRule intervals_rest_on_filters = only("interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule sums_of_the_bench_rest_on_filters_and_water = only("sums", "water", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule trouble_rests_on_filters =
            only("trouble", "filter", "calc", "javax.xml.parsers", "org.w3c.dom", "org.xml.sax");

    @ArchTest
    static final ArchRule devices_rest_on_units = only("device", "calc");

    @ArchTest
    static final ArchRule visits_rest_on_intervals = only("visit", "interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule passports_rest_on_filters = only("passport", "filter", "calc");

    @ArchTest
    static final ArchRule procedures_rest_on_passports = only("procedure", "passport", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule water_rests_on_tanks = only("water", "tank", "calc");

    @ArchTest
    static final ArchRule stock_rests_on_filters = only("stock", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule media_with_a_history_rests_on_water_and_sums = only("media", "sums", "water", "tank", "calc");

    @ArchTest
    static final ArchRule trials_rest_on_water = only("trial", "water", "tank", "calc");

    @ArchTest
    static final ArchRule plans_rest_on_intervals = only("plan", "interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule the_picture_of_a_site_rests_on_visits_procedures_and_water = only(
            "site",
            "visit",
            "procedure",
            "trouble",
            "passport",
            "water",
            "interval",
            "device",
            "filter",
            "tank",
            "calc");

    @ArchTest
    static final ArchRule comparisons_rest_on_the_picture =
            only("compare", "site", "visit", "interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule an_agenda_rests_on_the_picture_and_the_planner =
            only("agenda", "site", "plan", "visit", "water", "interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule a_notebook_rests_on_the_picture =
            only("notebook", "site", "interval", "filter", "tank", "calc");

    @ArchTest
    static final ArchRule features_have_no_cycles =
            slices().matching("app.chervil.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule packages_are_named_for_the_trade = noClasses()
            .should()
            .resideInAnyPackage(
                    "..util..", "..common..", "..model..", "..dto..", "..impl..", "..helper..", "..manager..");

    @ArchTest
    static final ArchRule time_is_handed_in = noClasses()
            .should()
            .callMethodWhere(describe(
                    "now() without a Clock",
                    (JavaAccess<?> call) ->
                            call.getTarget().getOwner().getPackageName().equals("java.time")
                                    && call.getTarget().getName().equals("now")));

    private static ArchRule only(String feature, String... lower) {
        String[] allowed = new String[lower.length + 2];
        allowed[0] = "java..";
        allowed[1] = "app.chervil.core." + feature;
        for (int i = 0; i < lower.length; i++) {
            allowed[i + 2] = lower[i].contains(".") ? lower[i] : "app.chervil.core." + lower[i];
        }
        return classes()
                .that()
                .resideInAPackage("app.chervil.core." + feature + "..")
                .should()
                .onlyDependOnClassesThat(resideInAnyPackage(allowed));
    }
}
