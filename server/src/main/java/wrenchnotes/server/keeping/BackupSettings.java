package wrenchnotes.server.keeping;

import java.nio.file.Path;
import java.time.LocalTime;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param folder where backups go; {@code backups} in the data folder if it is not set. Another disk is better
 * @param nightly whether one is made every night by itself
 * @param at the time of day for it, in the machine's zone
 */
@ConfigurationProperties("wrenchnotes.backups")
public record BackupSettings(
        Path folder,
        @DefaultValue("true") boolean nightly,
        @DefaultValue("02:30") LocalTime at) {}
