package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.ArchConfiguration;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.HeaderParameter;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Spoken;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;

/**
 * The API's description is a file that the application serves and the front end's types are made from. This test reads
 * the same description off the running endpoints and fails when the file is out of date; {@code make types} renews it.
 */
@Tag("shop")
class ApiDescriptionTest {

    private static final Path FILE = Path.of("../web/src/api/openapi.json");
    private static final boolean RENEW = Boolean.getBoolean("openapi.renew");

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withSource(Description.class);

    @Test
    void theServedFileDescribesTheEndpointsAsTheyAre() throws IOException {
        JsonMapper json =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Client.Answer description = SHOP.client().get("/live-openapi");
        assertThat(description.status()).isEqualTo(200);
        JsonNode live = json.valueToTree(sorted(json, description.body()));
        if (RENEW) {
            Files.createDirectories(FILE.getParent());
            Files.writeString(FILE, json.writeValueAsString(live) + "\n");
            return;
        }
        assertThat(json.readTree(Files.readString(FILE)))
                .as("web/src/api/openapi.json is out of date: run make types")
                .isEqualTo(live);
        assertThat(SHOP.client().get("/api/openapi.json").body().get("paths").size())
                .isEqualTo(live.get("paths").size())
                .isGreaterThan(20);
    }

    private static Object sorted(JsonMapper json, JsonNode node) {
        if (node.isObject()) {
            Map<String, Object> map = new TreeMap<>();
            node.properties().forEach(entry -> map.put(entry.getKey(), sorted(json, entry.getValue())));
            return map;
        }
        return node.isArray()
                ? node.values().stream().map(value -> sorted(json, value)).toList()
                : json.treeToValue(node, Object.class);
    }

    /** How our records are read: everything is always there, but for what is {@link Optional}. */
    @Configuration(proxyBeanMethods = false)
    static class Description {

        private static final JavaClasses OURS = ours();
        private static final Map<String, Class<?>> WIRE_RECORDS = recordsByName();

        static {
            SpringDocUtils.getConfig()
                    .addRequestWrapperToIgnore(Pen.class, Seen.class)
                    .replaceWithClass(Moment.class, Instant.class);
        }

        @Bean
        OperationCustomizer whatWasSeen() {
            return (operation, method) -> Arrays.stream(method.getMethodParameters())
                            .anyMatch(parameter -> parameter.getParameterType() == Seen.class)
                    ? operation.addParametersItem(new HeaderParameter()
                            .name("If-Match")
                            .required(false)
                            .schema(new StringSchema()))
                    : operation;
        }

        @Bean
        OpenApiCustomizer description() {
            return api -> {
                api.setInfo(new Info()
                        .title("Wrench Notes")
                        .version("1")
                        .description("The working memory of a repair shop."));
                api.setServers(null);
                api.addExtension("x-words", words());
                api.addExtension(
                        "x-rules",
                        Map.of(
                                "threadless", those(Head.values(), Head::threadless),
                                "owed", those(Account.values(), Account::owed),
                                "excludes", excluded()));
                api.getComponents().getSchemas().forEach(Description::sayWhatIsAlwaysThere);
            };
        }

        @SuppressWarnings({"rawtypes", "unchecked"})
        private static void sayWhatIsAlwaysThere(String name, Schema schema) {
            Class<?> type = WIRE_RECORDS.get(name);
            assertThat(type).as("one record called " + name).isNotNull();
            schema.setRequired(Arrays.stream(type.getRecordComponents())
                    .filter(component -> component.getType() != Optional.class)
                    .map(RecordComponent::getName)
                    .sorted()
                    .toList());
        }

        /** The closed lists of the core in their order, with the words of the floor: the front end has none of its own. */
        private static Map<String, List<List<String>>> words() {
            Map<String, List<List<String>>> words = new TreeMap<>();
            for (JavaClass type : OURS) {
                if (type.isEnum()
                        && type.isAssignableTo(Spoken.class)
                        && type.getPackageName().startsWith("wrenchnotes.core")) {
                    List<List<String>> list = new ArrayList<>();
                    for (Object one : type.reflect().getEnumConstants()) {
                        list.add(List.of(((Spoken) one).name(), ((Spoken) one).words()));
                    }
                    assertThat(words.put(type.getSimpleName(), list))
                            .as("one list called " + type.getSimpleName())
                            .isNull();
                }
            }
            return words;
        }

        private static Map<ArrivalMark, Set<ArrivalMark>> excluded() {
            Map<ArrivalMark, Set<ArrivalMark>> excluded = new EnumMap<>(ArrivalMark.class);
            for (ArrivalMark mark : ArrivalMark.values()) {
                excluded.put(mark, mark.excludes());
            }
            return excluded;
        }

        private static <T> List<T> those(T[] all, Predicate<T> rule) {
            return Arrays.stream(all).filter(rule).toList();
        }

        /** Nothing is asked of what others wrote: to look it all up takes longer than the rest. */
        private static JavaClasses ours() {
            return ArchConfiguration.withThreadLocalScope(configuration -> {
                configuration.setResolveMissingDependenciesFromClassPath(false);
                return new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("wrenchnotes");
            });
        }

        private static Map<String, Class<?>> recordsByName() {
            return OURS.stream()
                    .filter(type -> type.isRecord() && type.getModifiers().contains(JavaModifier.PUBLIC))
                    .collect(Collectors.toMap(JavaClass::getSimpleName, JavaClass::reflect, (one, other) -> null));
        }
    }
}
