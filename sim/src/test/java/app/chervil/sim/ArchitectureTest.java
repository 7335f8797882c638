package app.chervil.sim;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.codeUnits;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.chervil.sim", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule the_simulator_rests_on_the_core = classes()
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage("java..", "app.chervil.core..", "app.chervil.sim.."));

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
    static final ArchRule no_cycles =
            slices().matching("app.chervil.sim.(*)..").should().beFreeOfCycles();
}
