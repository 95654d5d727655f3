package org.stratopneum.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.stratopneum", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreDoesNotKnowTheWeb = noClasses()
            .that()
            .resideInAPackage("org.stratopneum.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.stratopneum.web..");

    @ArchTest
    static final ArchRule districtsFormNoCircle =
            slices().matching("org.stratopneum.web.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule packagesInsideADistrictFormNoCircle =
            slices().matching("org.stratopneum.web.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule controllersLeaveSqlToTheirServices = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .or()
            .haveSimpleNameEndingWith("Calculator")
            .should()
            .dependOnClassesThat()
            .haveSimpleNameEndingWith("Mapper");

    @ArchTest
    static final ArchRule nobodyKnowsTheDemo = classes()
            .that()
            .resideInAPackage("..web.demo..")
            .should()
            .onlyHaveDependentClassesThat()
            .resideInAPackage("..web.demo..");

    @ArchTest
    static final ArchRule calculatorsKeepNothing = noClasses()
            .that()
            .resideInAPackage("..web.api.calculators..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..web.log..", "..web.fleet..", "..web.rider..", "java.sql..");
}
