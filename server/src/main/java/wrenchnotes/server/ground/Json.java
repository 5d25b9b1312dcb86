package wrenchnotes.server.ground;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;
import wrenchnotes.core.unit.Moment;

/** How JSON is read and written: a list has no holes, so that the core never meets one; a moment is a time. */
@Configuration(proxyBeanMethods = false)
public class Json {

    @Bean
    JsonMapperBuilderCustomizer noHoles() {
        return builder -> builder.changeDefaultNullHandling(handling -> handling.withContentNulls(Nulls.FAIL));
    }

    /** The number of a moment is for ordering here; a client is told the time. */
    @Bean
    JsonMapperBuilderCustomizer momentsAsTimes() {
        return builder -> builder.addModule(
                new SimpleModule("moments").addSerializer(Moment.class, new ValueSerializer<Moment>() {
                    @Override
                    public void serialize(Moment moment, JsonGenerator to, SerializationContext context) {
                        context.writeValue(to, moment.at());
                    }
                }));
    }
}
