package org.stratopneum.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.stratopneum.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreKnowsNoFramework = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "org.stratopneum.core..",
                    "java..",
                    "javax.measure..",
                    "javax.xml.stream..",
                    "com.ctc.wstx..",
                    "tech.units.indriya..",
                    "org.hipparchus..");

    @ArchTest
    static final ArchRule coreHasNoClockAndNoChanceOfItsOwn = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(Math.class, "random");

    @ArchTest
    static final ArchRule packagesFormNoCycles =
            slices().matching("org.stratopneum.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule foundationsDoNotKnowTheFeatures = noClasses()
            .that()
            .resideInAnyPackage("..core.check..", "..core.quantity..", "..core.tire..", "..core.air..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..core.pressure..", "..core.agenda..", "..core.fit..", "..core.sealant..");

    @ArchTest
    static final ArchRule nobodySeesTheAgenda = classes()
            .that()
            .resideInAPackage("..core.agenda..")
            .should()
            .onlyHaveDependentClassesThat()
            .resideInAPackage("..core.agenda..");
}
