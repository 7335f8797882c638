package app.chervil.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@AnalyzeClasses(packages = "app.chervil.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule features_have_no_cycles =
            slices().matching("app.chervil.server.(*)..").should().beFreeOfCycles();

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
}
