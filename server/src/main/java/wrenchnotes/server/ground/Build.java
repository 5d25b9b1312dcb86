package wrenchnotes.server.ground;

import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.info.BuildProperties;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Which program this is: said on screens, in the log and in health, so that what is told of it can be placed. */
@Component
public class Build {

    private static final Logger LOG = LoggerFactory.getLogger(Build.class);
    private static final DateTimeFormatter MADE =
            DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final String words;

    Build(ObjectProvider<BuildProperties> built) {
        BuildProperties build = built.getIfAvailable();
        words = build == null ? "not packaged" : build.getVersion() + " of " + MADE.format(build.getTime());
    }

    /** "0.1.0 of 2026-03-06 14:20", in UTC. */
    public String words() {
        return words;
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        LOG.info("Wrench Notes {}", words);
    }
}
