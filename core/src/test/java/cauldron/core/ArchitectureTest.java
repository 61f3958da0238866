package cauldron.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

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
    static final ArchRule THE_CONTRACT_KNOWS_NO_APPARATUS = noClasses().that()
            .resideOutsideOfPackage("cauldron.core.apparatus.*..").and()
            .doNotHaveFullyQualifiedName("cauldron.core.inventory.Inventory")
            .should().dependOnClassesThat().resideInAPackage("cauldron.core.apparatus.*..");
}
