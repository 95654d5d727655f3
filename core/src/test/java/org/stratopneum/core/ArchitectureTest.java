package org.stratopneum.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.stratopneum.core");

    @Test
    void coreKnowsNoFramework() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "org.stratopneum.core..",
                        "java..",
                        "javax.measure..",
                        "javax.xml.stream..",
                        "com.ctc.wstx..",
                        "tech.units.indriya..",
                        "org.hipparchus..")
                .check(CORE);
    }

    @Test
    void coreHasNoClockAndNoChanceOfItsOwn() {
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(java.time.LocalDate.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(Math.class, "random")
                .check(CORE);
    }

    @Test
    void packagesFormNoCycles() {
        slices().matching("org.stratopneum.core.(*)..")
                .should()
                .beFreeOfCycles()
                .check(CORE);
    }

    @Test
    void foundationsDoNotKnowTheFeatures() {
        noClasses()
                .that()
                .resideInAnyPackage("..core.check..", "..core.quantity..", "..core.tire..", "..core.air..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..core.pressure..", "..core.agenda..", "..core.fit..", "..core.sealant..")
                .check(CORE);
    }

    @Test
    void nobodySeesTheAgenda() {
        classes()
                .that()
                .resideInAPackage("..core.agenda..")
                .should()
                .onlyHaveDependentClassesThat()
                .resideInAPackage("..core.agenda..")
                .check(CORE);
    }
}
