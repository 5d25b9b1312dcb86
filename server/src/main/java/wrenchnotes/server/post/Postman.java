package wrenchnotes.server.post;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.Snapshot;

/** Sends what lies in the outbox, if a mail server is set (wrenchnotes.mail.host), on a thread of its own. What it did not take stays, and is tried again. */
@Component
class Postman implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Postman.class);

    private final LetterStore letters;
    private final Outbox outbox;
    private final Optional<JavaMailSender> server;
    private final Snapshot snapshot;
    private final TransactionTemplate writing;
    private final Clock clock;
    private final long everySeconds;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread one = new Thread(work, "postman");
        one.setDaemon(true);
        return one;
    });

    Postman(
            LetterStore letters,
            Outbox outbox,
            Snapshot snapshot,
            PlatformTransactionManager transactions,
            Clock clock,
            MailSettings settings) {
        this.letters = letters;
        this.outbox = outbox;
        this.server = server(settings);
        this.snapshot = snapshot;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
        this.everySeconds = settings.everySeconds();
    }

    private static Optional<JavaMailSender> server(MailSettings settings) {
        if (settings.host().isEmpty()) {
            return Optional.empty();
        }
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost(settings.host());
        sender.setPort(settings.port());
        Properties more = sender.getJavaMailProperties();
        if (!settings.user().isEmpty()) {
            sender.setUsername(settings.user());
            sender.setPassword(settings.password());
            more.put("mail.smtp.auth", "true");
        }
        more.put("mail.smtp.starttls.enable", "" + settings.tls());
        more.put("mail.smtp.starttls.required", "" + settings.tls());
        more.put("mail.smtp.ssl.checkserveridentity", "true");
        more.put("mail.smtp.connectiontimeout", "10000");
        more.put("mail.smtp.timeout", "10000");
        more.put("mail.smtp.writetimeout", "10000");
        return Optional.of(sender);
    }

    /** Whether letters leave by themselves. */
    boolean goes() {
        return server.isPresent();
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (goes()) {
            thread.scheduleWithFixedDelay(this::round, everySeconds, everySeconds, TimeUnit.SECONDS);
        }
    }

    /** Something was written just now. */
    void soon() {
        if (goes()) {
            thread.execute(this::round);
        }
    }

    private void round() {
        try {
            snapshot.read(letters::waiting).forEach(this::send);
        } catch (RuntimeException e) {
            LOG.warn("The outbox could not be looked through: it is tried again", e);
        }
    }

    private void send(LetterStore.Letter letter) {
        JavaMailSender mail = server.orElseThrow();
        String trouble = "";
        try {
            mail.send(new MimeMessage(null, new ByteArrayInputStream(outbox.bytes(letter))));
        } catch (MailException | MessagingException e) {
            LOG.info("Letter {} was not taken by the mail server: {}", letter.file(), e.getMessage());
            trouble = "The mail server did not take it";
        } catch (UncheckedIOException e) {
            trouble = "Its file is not in the outbox any more";
        }
        String said = trouble;
        writing.executeWithoutResult(status -> {
            if (said.isEmpty()) {
                letters.sent(letter.id(), clock.instant());
            } else if (!said.equals(letter.trouble())) {
                letters.trouble(letter.id(), said);
            }
        });
    }

    @Override
    public void destroy() {
        thread.shutdownNow();
    }
}
