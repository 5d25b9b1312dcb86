package wrenchnotes.server.ground;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How JSON is read: a list has no holes, so that the core never meets one. */
@Configuration(proxyBeanMethods = false)
public class Json {

    @Bean
    JsonMapperBuilderCustomizer noHoles() {
        return builder -> builder.changeDefaultNullHandling(handling -> handling.withContentNulls(Nulls.FAIL));
    }
}
