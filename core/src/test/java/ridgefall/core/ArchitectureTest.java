package ridgefall.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;

@AnalyzeClasses(packages = "ridgefall.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule the_core_stands_on_the_language_geometry_graphs_and_numerics_alone = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "ridgefall.core..",
                    "java.lang..",
                    "java.util..",
                    "java.time..",
                    "java.math..",
                    "org.locationtech.jts..",
                    "org.jgrapht..",
                    "org.hipparchus..");

    @ArchTest
    static final ArchRule the_core_has_no_clock_of_its_own = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .dependOnClassesThat()
            .areAssignableTo(Clock.class)
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime");

    @ArchTest
    static final ArchRule rooms_do_not_depend_on_each_other_in_circles =
            slices().matching("ridgefall.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule the_edge_line_knows_nothing_of_jobs = noClasses()
            .that()
            .resideInAnyPackage("ridgefall.core.edge..", "ridgefall.core.material..", "ridgefall.core.units..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("ridgefall.core.job..", "ridgefall.core.gate..", "ridgefall.core.profile..");
}
