package wrenchnotes.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;

/** The picture in docs/decisions/0001-rooms-and-floors.md, held. */
@AnalyzeClasses(
        packages = "wrenchnotes",
        importOptions = {ImportOption.DoNotIncludeTests.class, ArchitectureTest.WrittenByHand.class})
class ArchitectureTest {

    /** What the build works out ahead of the start is not ours to judge. */
    static final class WrittenByHand implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__");
        }
    }

    @ArchTest
    static final ArchRule coreKnowsNoFrameworkNoFilesNoClock = noClasses()
            .that()
            .resideInAPackage("wrenchnotes.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "wrenchnotes.server..",
                    "org.springframework..",
                    "java.sql..",
                    "java.io..",
                    "java.nio..",
                    "java.net..",
                    "tools.jackson..",
                    "com.fasterxml..")
            .orShould()
            .dependOnClassesThat()
            .areAssignableTo(Clock.class);

    @ArchTest
    static final ArchRule roomsOfTheCoreHaveNoCycles =
            slices().matching("wrenchnotes.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule roomsOfTheServerHaveNoCycles =
            slices().matching("wrenchnotes.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule onlyStoresSpeakSql = noClasses()
            .that()
            .resideInAPackage("wrenchnotes.server..")
            .and()
            .haveSimpleNameNotEndingWith("Store")
            .and()
            .resideOutsideOfPackages("wrenchnotes.server.ground..", "wrenchnotes.server.finder")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");

    @ArchTest
    static final ArchRule onlyApisSpeakHttp = noClasses()
            .that()
            .haveSimpleNameEndingWith("Store")
            .or()
            .haveSimpleNameEndingWith("Service")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..");

    /** What the core shows does not change; a search may keep a scratch pad of its own while it runs. */
    @ArchTest
    static final ArchRule valuesOfTheCoreDoNotChange = classes()
            .that()
            .resideInAPackage("wrenchnotes.core..")
            .and()
            .arePublic()
            .should()
            .haveOnlyFinalFields();
}
