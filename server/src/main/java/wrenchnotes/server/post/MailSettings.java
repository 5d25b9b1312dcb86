package wrenchnotes.server.post;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where letters go. Named here and not under Spring's own names: the build decides ahead of the start what Spring makes of its own.
 *
 * @param host of a mail server (SMTP); empty: letters stay in the outbox
 * @param user and password, if it asks for them; the password is best said by WRENCHNOTES_MAIL_PASSWORD
 * @param tls whether it is spoken to only enciphered (STARTTLS)
 * @param from who writes
 * @param everySeconds how long after a look through the outbox the next one is
 */
@ConfigurationProperties("wrenchnotes.mail")
record MailSettings(
        @DefaultValue("") String host,
        @DefaultValue("587") int port,
        @DefaultValue("") String user,
        @DefaultValue("") String password,
        @DefaultValue("true") boolean tls,
        @DefaultValue("shop@localhost") String from,
        @DefaultValue("60") int everySeconds) {}
