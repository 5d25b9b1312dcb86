package wrenchnotes.server;

import java.util.OptionalInt;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.aop.AopAutoConfiguration;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.persistence.autoconfigure.PersistenceExceptionTranslationAutoConfiguration;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.boot.transaction.autoconfigure.TransactionAutoConfiguration;
import org.springframework.scheduling.annotation.EnableScheduling;
import wrenchnotes.server.keeping.Commands;

/** Starts the application. Options: docs/running.md. */
@SpringBootApplication(
        exclude = {
            UserDetailsServiceAutoConfiguration.class,
            // Transactions are begun where they are needed, by their template: nobody's annotation has to be looked for
            // at a start.
            TransactionAutoConfiguration.class,
            AopAutoConfiguration.class,
            PersistenceExceptionTranslationAutoConfiguration.class
        })
@ConfigurationPropertiesScan
@EnableScheduling
public class WrenchNotes {

    public static void main(String[] args) {
        // The packaged application knows its beans from the build; run from an IDE it finds them as usual.
        System.setProperty("spring.aot.enabled", Boolean.toString(builtAhead()));
        OptionalInt done = Commands.run(args);
        if (done.isPresent()) {
            System.exit(done.getAsInt());
        }
        SpringApplication.run(WrenchNotes.class, args);
    }

    private static boolean builtAhead() {
        return !Boolean.getBoolean("spring.aot.processing")
                && WrenchNotes.class.getResource("WrenchNotes__ApplicationContextInitializer.class") != null;
    }
}
