package org.stratopneum.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Rules of the house. Run as the other tests are, beside them; ArchUnit's own engine would run after them, alone. */
class ArchitectureTest {

    private static final JavaClasses HOUSE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            // what Spring wrote down when the application was built
            .withImportOption(found -> !found.contains("__") && !found.contains("$$"))
            .importPackages("org.stratopneum");

    @Test
    void coreDoesNotKnowTheWeb() {
        noClasses()
                .that()
                .resideInAPackage("org.stratopneum.core..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.stratopneum.web..")
                .check(HOUSE);
    }

    @Test
    void districtsFormNoCircle() {
        slices().matching("org.stratopneum.web.(*)..").should().beFreeOfCycles().check(HOUSE);
    }

    @Test
    void packagesInsideADistrictFormNoCircle() {
        slices().matching("org.stratopneum.web.(**)").should().beFreeOfCycles().check(HOUSE);
    }

    @Test
    void controllersLeaveSqlToTheirServices() {
        noClasses()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .or()
                .haveSimpleNameEndingWith("Calculator")
                .should()
                .dependOnClassesThat()
                .haveSimpleNameEndingWith("Mapper")
                .check(HOUSE);
    }

    @Test
    void nobodyKnowsTheDemo() {
        classes()
                .that()
                .resideInAPackage("..web.demo..")
                .should()
                .onlyHaveDependentClassesThat()
                .resideInAPackage("..web.demo..")
                .check(HOUSE);
    }

    @Test
    void calculatorsKeepNothing() {
        noClasses()
                .that()
                .resideInAPackage("..web.api.calculators..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..web.log..", "..web.fleet..", "..web.rider..", "java.sql..")
                .check(HOUSE);
    }
}
