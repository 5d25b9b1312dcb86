package wrenchnotes.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.PublishedTable;

/** The picture in docs/decisions/0001-rooms-and-floors.md, held. */
@AnalyzeClasses(
        packages = "wrenchnotes",
        importOptions = {ImportOption.DoNotIncludeTests.class, ArchitectureTest.WrittenByHand.class})
class ArchitectureTest {

    /** What the build works out ahead of the start is not ours to judge, and the core's tests, which come as a jar, are no core. */
    static final class WrittenByHand implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__") && !location.contains("-tests.jar");
        }
    }

    @ArchTest
    static final ArchRule coreKnowsNoFrameworkNoFilesNoClock = noClasses()
            .that()
            .resideInAPackage("wrenchnotes.core..")
            // Published tables stand as text beside the class that knows them: it alone reads them, from its own
            // archive.
            .and()
            .doNotBelongToAnyOf(PublishedTable.class)
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

    /** Helpers included; what asks at the door, hands out the pen and says what went wrong stands at the door itself. */
    @ArchTest
    static final ArchRule onlyApisSpeakHttp = noClasses()
            .that()
            .resideInAPackage("wrenchnotes.server..")
            .and()
            .haveNameNotMatching(
                    ".*Api(\\$.*)?|.*ground\\.(PenResolver|Problems|Seen|FrontEnd)(\\$.*)?|.*table\\.TableWriter(\\$.*)?|.*team\\.(Doorkeeper|SignIns|Tokens|Security)(\\$.*)?|.*server\\.door\\..*")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework.web..", "org.springframework.http..", "jakarta.servlet..");

    /** Nothing would heed one: what looks for them at a start is left out, by WrenchNotes. */
    @ArchTest
    static final ArchRule transactionsAreBegunByTheirTemplate = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework.transaction.annotation..", "org.springframework.transaction.event..");

    @ArchTest
    static final ArchRule timeIsTheClocks = noClasses()
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.LocalDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    /** Which rooms of the server each may look into; the demo plays in all of them. */
    private static final Map<String, String> SERVER = Map.ofEntries(
            Map.entry("archive", "exchange ground"),
            Map.entry("bench", "drawer ground job teardown"),
            Map.entry("brought", "ground shop table teardown"),
            Map.entry("check", "bench ground job shop"),
            Map.entry("checkin", "ground job paper photo shop teardown"),
            Map.entry("diagnosis", "bench drawer ground job table teardown"),
            Map.entry("donor", "bench drawer ground job teardown"),
            Map.entry("door", "ground"),
            Map.entry("drawer", "ground job photo shop table teardown"),
            Map.entry("exchange", "ground paper photo teardown"),
            Map.entry("finder", "ground"),
            Map.entry("gauge", "bench diagnosis drawer ground job paper table teardown"),
            Map.entry("ground", ""),
            Map.entry("job", "ground shop teardown"),
            Map.entry("journal", "ground job shop table"),
            Map.entry("keeping", "archive ground"),
            Map.entry("meter", "ground"),
            Map.entry("need", "diagnosis drawer ground job"),
            Map.entry("money", "checkin diagnosis drawer ground job outcome shop table"),
            Map.entry("order", "drawer ground job shop table"),
            Map.entry("outcome", "bench drawer ground job shop"),
            Map.entry("paper", "bench diagnosis ground job pattern shop"),
            Map.entry("pattern", "diagnosis ground shop table teardown"),
            Map.entry("photo", "ground"),
            Map.entry("post", "drawer ground order paper pattern shop"),
            Map.entry("practice", "ground"),
            Map.entry("schedule", "ground job table"),
            Map.entry("sheet", "check diagnosis drawer ground job money outcome table teardown"),
            Map.entry("shop", "ground"),
            Map.entry("supplier", "ground order"),
            Map.entry("table", "ground shop"),
            Map.entry("team", "ground shop"),
            Map.entry("teardown", "ground photo"));

    /** Which rooms of the core each may look into; {@code unit} is for all. */
    private static final Map<String, String> CORE = Map.ofEntries(
            Map.entry("bench", "check teardown typed"),
            Map.entry("brought", "diagnosis outcome shop typed"),
            Map.entry("check", "typed"),
            Map.entry("checkin", ""),
            Map.entry("diagnosis", "checkin outcome pattern teardown"),
            Map.entry("drawer", "diagnosis gauge teardown typed"),
            Map.entry("gauge", "teardown typed"),
            Map.entry("job", "bench check checkin outcome teardown"),
            Map.entry("keeping", ""),
            Map.entry("money", "diagnosis pattern"),
            Map.entry("outcome", "bench check"),
            Map.entry("pattern", ""),
            Map.entry("recurring", "checkin diagnosis job money outcome pattern teardown"),
            Map.entry("schedule", "check job outcome"),
            Map.entry("shop", "check"),
            Map.entry("team", ""),
            Map.entry("teardown", "check typed"),
            Map.entry("typed", ""),
            Map.entry("unit", ""));

    @ArchTest
    static void roomsLookOnlyIntoThoseListed(JavaClasses all) {
        arrows(all, "wrenchnotes.server.", SERVER, Set.of("demo"), "");
        arrows(all, "wrenchnotes.core.", CORE, Set.of(), "unit");
    }

    private static void arrows(
            JavaClasses all, String floor, Map<String, String> rooms, Set<String> free, String forAll) {
        Set<String> found = all.stream()
                .map(JavaClass::getPackageName)
                .filter(name -> name.startsWith(floor))
                .map(name -> name.substring(floor.length()).split("\\.")[0])
                .filter(room -> !free.contains(room))
                .collect(Collectors.toSet());
        assertThat(found).isEqualTo(rooms.keySet());
        rooms.forEach((room, others) -> {
            String[] hidden = found.stream()
                    .filter(other -> !other.equals(room) && !other.equals(forAll))
                    .filter(other -> !List.of(others.split(" ")).contains(other))
                    .map(other -> floor + other + "..")
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage(floor + room + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(hidden)
                    .check(all);
        });
    }

    /** What a stored form holds are texts, numbers and other forms: no name of the core can get into the database, or out of it. */
    @ArchTest
    static void formsHoldNoTypeOfTheCore(JavaClasses all) {
        List<JavaClass> forms = all.stream()
                .filter(one -> one.getPackageName().startsWith("wrenchnotes.server"))
                .filter(one -> one.isRecord() && outermost(one).getSimpleName().endsWith("Form"))
                .toList();
        assertThat(forms).hasSizeGreaterThan(12);
        assertThat(forms.stream()
                        .flatMap(form -> form.getFields().stream())
                        .flatMap(field -> field.getAllInvolvedRawTypes().stream()
                                .filter(type -> type.getPackageName().startsWith("wrenchnotes.core"))
                                .map(type -> field.getFullName() + " is a " + type.getSimpleName())))
                .isEmpty();
    }

    private static JavaClass outermost(JavaClass one) {
        return one.getEnclosingClass().map(ArchitectureTest::outermost).orElse(one);
    }

    /** What the core shows does not change; a search or a press may keep a scratch pad of its own while it runs. */
    @ArchTest
    static final ArchRule valuesOfTheCoreDoNotChange = classes()
            .that()
            .resideInAPackage("wrenchnotes.core..")
            .and()
            .arePublic()
            .should()
            .haveOnlyFinalFields();
}
