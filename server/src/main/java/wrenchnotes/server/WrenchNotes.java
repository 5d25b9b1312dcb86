package wrenchnotes.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** Starts the application. Options: docs/running.md. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@ConfigurationPropertiesScan
public class WrenchNotes {

    public static void main(String[] args) {
        // The packaged application knows its beans from the build; run from an IDE it finds them as usual.
        System.setProperty("spring.aot.enabled", Boolean.toString(builtAhead()));
        SpringApplication.run(WrenchNotes.class, args);
    }

    private static boolean builtAhead() {
        return !Boolean.getBoolean("spring.aot.processing")
                && WrenchNotes.class.getResource("WrenchNotes__ApplicationContextInitializer.class") != null;
    }
}
