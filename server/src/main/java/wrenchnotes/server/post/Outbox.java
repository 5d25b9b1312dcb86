package wrenchnotes.server.post;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Date;
import java.util.Optional;
import java.util.Properties;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.shop.TheShop;

/** Letters as files (RFC 5322, ending in .eml) that any mail program opens. Runs in the caller's transaction. */
@Component
public class Outbox {

    private static final String FOLDER = "outbox";

    private final LetterStore letters;
    private final TheShop shop;
    private final Path folder;
    private final String from;

    Outbox(LetterStore letters, TheShop shop, DataFolder data, MailSettings settings) {
        this.letters = letters;
        this.shop = shop;
        this.folder = data.path().resolve(FOLDER);
        this.from = settings.from();
    }

    /** @param name of the file that goes with it, and its content */
    public record Enclosed(String name, String type, byte[] bytes) {}

    /** @return its number; the file is there before the row is, so that no row names a file that is not */
    public long write(
            By by, String to, String subject, String text, Optional<Enclosed> enclosed, Optional<Long> order) {
        String recipient = address(to);
        String file = by.moment().number() + "-" + (order.isPresent() ? "order-" + order.get() : "letter") + ".eml";
        try {
            MimeMessage message = new MimeMessage(Session.getInstance(new Properties()));
            MimeMessageHelper letter = new MimeMessageHelper(message, enclosed.isPresent(), "UTF-8");
            letter.setFrom(new InternetAddress(from, shop.now().name(), StandardCharsets.UTF_8.name()));
            letter.setTo(recipient);
            letter.setSubject(Checked.text("subject", subject, 200));
            letter.setSentDate(Date.from(by.at()));
            letter.setText(text);
            if (enclosed.isPresent()) {
                letter.addAttachment(
                        enclosed.get().name(),
                        new ByteArrayResource(enclosed.get().bytes()),
                        enclosed.get().type());
            }
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            Files.createDirectories(folder);
            DataFolder.write(folder.resolve(file), bytes.toByteArray());
        } catch (MessagingException e) {
            throw new IllegalStateException("A letter of checked words could not be written", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return letters.add(by, file, recipient, subject, order);
    }

    private static String address(String to) {
        try {
            InternetAddress address = new InternetAddress(to, true);
            if (!address.getAddress().contains("@")) {
                throw new AddressException("no @");
            }
            return address.getAddress();
        } catch (AddressException e) {
            throw new Invalid("mail", "Nobody can be written to at \"" + to + "\": write name@place");
        }
    }

    byte[] bytes(LetterStore.Letter letter) {
        try {
            return Files.readAllBytes(folder.resolve(letter.file()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
