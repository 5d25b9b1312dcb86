package wrenchnotes.server.paper;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Properties;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.messageresolver.AbstractMessageResolver;

/** The one file of words of all papers, and which letters the papers' font has. */
@Component
class PaperWords extends AbstractMessageResolver {

    private final Properties words = new Properties();
    private final Font font;

    PaperWords() {
        try (InputStream file = PaperWords.class.getResourceAsStream("/papers/words.properties");
                InputStream letters = PaperWords.class.getResourceAsStream(PaperFonts.PLAIN)) {
            words.load(new InputStreamReader(file, StandardCharsets.UTF_8));
            font = Font.createFont(Font.TRUETYPE_FONT, letters);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException("The papers' font is damaged", e);
        }
    }

    /** @param key one of the file */
    String say(String key, Object... values) {
        String said = words.getProperty(key);
        if (said == null) {
            throw new IllegalArgumentException("No words for " + key + " on papers");
        }
        return MessageFormat.format(said.replace("'", "''"), values);
    }

    /** With what the font has no letters for said to be missing, never left blank: "(4 letters of Han: this printer has none)". */
    String printable(String text) {
        StringBuilder out = new StringBuilder();
        StringBuilder missing = new StringBuilder();
        text.codePoints().forEach(letter -> {
            boolean joins = Character.isWhitespace(letter) && !missing.isEmpty();
            if (!joins && (font.canDisplay(letter) || Character.isISOControl(letter))) {
                flush(missing, out);
                out.appendCodePoint(letter);
            } else {
                missing.appendCodePoint(letter);
            }
        });
        flush(missing, out);
        return out.toString();
    }

    private void flush(StringBuilder missing, StringBuilder out) {
        String run = missing.toString().strip();
        if (!run.isEmpty()) {
            String script = Character.UnicodeScript.of(run.codePointAt(0))
                    .name()
                    .toLowerCase(Locale.ROOT)
                    .replace('_', ' ');
            out.append(say(
                    "letters", run.codePoints().filter(letter -> letter != ' ').count(), script));
            if (missing.length() > missing.toString().stripTrailing().length()) {
                out.append(' ');
            }
        }
        missing.setLength(0);
    }

    @Override
    public String resolveMessage(ITemplateContext context, Class<?> origin, String key, Object[] values) {
        return say(key, values == null ? new Object[0] : values);
    }

    @Override
    public String createAbsentMessageRepresentation(
            ITemplateContext context, Class<?> origin, String key, Object[] values) {
        return key;
    }
}
