package cauldron.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Keeps the core clean of frameworks, input and output, clocks and chance of its own. */
@AnalyzeClasses(packages = "cauldron.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule ONLY_JAVA_AND_HIPPARCHUS = classes().should().onlyDependOnClassesThat()
            .resideInAnyPackage("cauldron.core..", "java.lang..", "java.util", "java.util.function", "java.util.stream",
                    "java.math",
                    "org.hipparchus..");

    @ArchTest
    static final ArchRule NO_CLOCK_NO_CHANCE = noClasses().should().callMethod(System.class, "currentTimeMillis")
            .orShould().callMethod(System.class, "nanoTime").orShould().callMethod(Math.class, "random")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("java.util.Random")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("java.util.HashMap");

    @ArchTest
    static final ArchRule NO_CIRCLES = slices().matching("cauldron.core.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule THE_CONTRACTS_KNOW_NO_KIND = noClasses().that()
            .resideInAnyPackage("cauldron.core.apparatus", "cauldron.core.block")
            .should().dependOnClassesThat().resideInAnyPackage("cauldron.core.apparatus.*..", "cauldron.core.block.*..");

    @ArchTest
    static final ArchRule NO_APPARATUS_KNOWS_ANOTHER = slices().matching("cauldron.core.apparatus.(*)..")
            .should().notDependOnEachOther();
}
