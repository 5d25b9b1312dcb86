package wrenchnotes.server.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wrenchnotes.core.job.Job;

/** An A5 sheet about a unit, while it is written: its head, and lines with a name each. */
final class Sheet {

    /**
     * @param name key of its name in the file of words
     * @param strong whether it stands in a box
     */
    public record NamedLine(String name, String words, boolean strong) {}

    private final PaperWords words;
    private final Map<String, Object> said = new HashMap<>();
    private final List<NamedLine> lines = new ArrayList<>();

    Sheet(PaperWords words, Job job, String under) {
        this.words = words;
        said.put("tag", job.tag());
        said.put("what", words.printable(job.unit().named()));
        said.put("under", words.printable(under));
        said.put("code", Code.svg(job.tag(), 26));
        said.put("lines", lines);
    }

    /** Nothing, if there is nothing to say. */
    Sheet line(String name, String text) {
        return line(name, text, false);
    }

    Sheet warning(String name, String text) {
        return line(name, text, true);
    }

    Sheet each(String name, List<String> texts) {
        return line(name, String.join("; ", texts));
    }

    private Sheet line(String name, String text, boolean strong) {
        if (!text.isBlank()) {
            lines.add(new NamedLine(name, words.printable(text), strong));
        }
        return this;
    }

    /** @param shop its name
     *  @param foot what stands at the end */
    Map<String, Object> with(String shop, String foot) {
        said.put("shop", words.printable(shop));
        said.put("foot", words.printable(foot));
        return said;
    }
}
