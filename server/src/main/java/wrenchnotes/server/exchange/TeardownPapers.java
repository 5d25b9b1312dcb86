package wrenchnotes.server.exchange;

import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;

/** Notes to be read elsewhere: Markdown for people, schema.org HowTo (as JSON-LD) for other software. */
@Component
public class TeardownPapers {

    private final JsonMapper json;

    TeardownPapers(JsonMapper json) {
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    String markdown(TeardownFile.Content content) {
        StringBuilder page = new StringBuilder();
        page.append("# ").append(plain(title(content))).append("\n");
        if (!content.tellApart().isEmpty()) {
            page.append("\nTo be told apart by: ")
                    .append(plain(content.tellApart()))
                    .append(".\n");
        }
        Set<String> tools = tools(content);
        page.append("\nTools: ")
                .append(tools.isEmpty() ? "bare hands" : plain(String.join(", ", tools)))
                .append("\n");
        overview(page, content);
        Map<String, String> titles = content.notes().steps().stream().collect(Collectors.toMap(Step::id, Step::title));
        int number = 1;
        for (Step step : content.notes().steps()) {
            page.append("\n## ")
                    .append(number++)
                    .append(". ")
                    .append(plain(step.title()))
                    .append("\n\n");
            paragraph(page, "**Mind:** ", step.caution());
            if (step.waitHours() > 0) {
                page.append("**Left off for ").append(step.waitHours()).append(" hours before this.**\n\n");
            }
            paragraph(page, "First: ", step.mustBeTrue());
            paragraph(page, "", step.how());
            line(page, "Side up", step.side().words());
            line(page, "Tool", step.tool());
            line(page, "Minutes", number(step.minutes()));
            line(
                    page,
                    "Needs first",
                    step.needs().stream()
                            .map(need -> titles.getOrDefault(need, "any of “" + need + "”"))
                            .collect(Collectors.joining(", ")));
            line(page, "One way of", step.insteadOf());
            line(page, "Can be undone", step.reversible() ? "" : "no");
            for (Thing thing : step.things()) {
                line(
                        page,
                        "Off",
                        thing instanceof FastenerGroup group ? group.label() + ": " + group.words() : thing.inAll());
            }
            step.stays().forEach(stays -> line(page, upper(stays.as().words()), stays.label() + colon(stays.words())));
            line(page, "Exposes", step.exposes().stream().map(content::name).collect(Collectors.joining(", ")));
            line(page, "On the way back", step.closeUp());
            line(
                    page,
                    "Goes back after",
                    step.backAfter().stream().map(titles::get).collect(Collectors.joining(", ")));
        }
        return page.toString();
    }

    private static String upper(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private static String colon(String words) {
        return words.isEmpty() ? "" : ": " + words;
    }

    private static void overview(StringBuilder page, TeardownFile.Content content) {
        Overview overview = content.notes().overview();
        paragraph(page, "\nBefore step one: ", overview.before().isEmpty() ? "" : overview.before() + ".");
        overview.modes()
                .forEach(mode -> line(
                        page,
                        "Service mode " + mode.name(),
                        mode.keys() + (mode.shows().isEmpty() ? "" : ": " + mode.shows())));
        overview.checks()
                .forEach(check -> line(
                        page,
                        "Check " + check.stage().words(),
                        check.what()
                                + (check.load().isEmpty() ? "" : ", with " + check.load())
                                + (check.times() > 1 ? ", " + check.times() + " times" : "")));
        overview.watch().forEach(watch -> line(page, "Watch the " + content.name(watch.component()), watch.words()));
        overview.lookOver()
                .forEach(look ->
                        line(page, "After a fall or liquid, the " + content.name(look.component()), look.words()));
        overview.points().forEach(point -> line(page, "Measure " + point.name(), point.words()));
    }

    /** After https://schema.org/HowTo, as JSON-LD 1.1. */
    String howTo(TeardownFile.Content content) {
        ObjectNode howTo = json.createObjectNode();
        howTo.put("@context", "https://schema.org");
        howTo.put("@type", "HowTo");
        howTo.put("name", "How to take apart the " + title(content));
        howTo.put("description", content.tellApart());
        howTo.put(
                "totalTime",
                duration(content.notes().steps().stream()
                        .mapToDouble(Step::minutes)
                        .sum()));
        ArrayNode tools = howTo.putArray("tool");
        tools(content)
                .forEach(tool -> tools.addObject().put("@type", "HowToTool").put("name", tool));
        ArrayNode steps = howTo.putArray("step");
        int position = 1;
        for (Step step : content.notes().steps()) {
            ObjectNode node = steps.addObject();
            node.put("@type", "HowToStep");
            node.put("position", position++);
            node.put("name", step.title());
            if (!step.photos().isEmpty()) {
                ArrayNode images = node.putArray("image");
                step.photos().forEach(photo -> images.add("/api/photos/" + photo.hash()));
            }
            ArrayNode parts = node.putArray("itemListElement");
            for (String tip : List.of(step.caution(), step.mustBeTrue(), step.closeUp())) {
                if (!tip.isEmpty()) {
                    parts.addObject().put("@type", "HowToTip").put("text", tip);
                }
            }
            parts.addObject().put("@type", "HowToDirection").put("text", directions(step));
        }
        return json.writeValueAsString(howTo) + "\n";
    }

    private static String directions(Step step) {
        String off = step.things().stream()
                .map(thing -> thing instanceof FastenerGroup group ? group.words() : thing.label())
                .collect(Collectors.joining("; "));
        return ((step.how().isEmpty() ? step.title() + "." : step.how())
                        + (off.isEmpty() ? "" : " Comes off: " + off + "."))
                .strip();
    }

    private static String title(TeardownFile.Content content) {
        return content.model().maker() + " " + content.model().name() + ", revision " + content.revision();
    }

    private static Set<String> tools(TeardownFile.Content content) {
        return content.notes().steps().stream()
                .flatMap(step -> step.tools().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** @param ours what the paper itself says before the words of the notes, in Markdown */
    private static void paragraph(StringBuilder page, String ours, String words) {
        if (!words.isEmpty()) {
            page.append(ours).append(plain(words)).append("\n\n");
        }
    }

    private static void line(StringBuilder page, String name, String words) {
        if (!words.isEmpty()) {
            page.append("- ")
                    .append(plain(name))
                    .append(": ")
                    .append(plain(words))
                    .append("\n");
        }
    }

    /** Words as words: nothing in them is taken for a heading, a list, a link or HTML (CommonMark 0.31.2, 2.4: backslash escapes). */
    private static String plain(String words) {
        return words.replaceAll("([\\\\`*_{}\\[\\]<>#|~&])", "\\\\$1")
                .replaceAll("(?m)^(\\s*(?:\\d+)?)([-+=.)])", "$1\\\\$2");
    }

    private static String number(double minutes) {
        return minutes == Math.rint(minutes) ? String.valueOf((long) minutes) : String.valueOf(minutes);
    }

    private static String duration(double minutes) {
        return Duration.ofSeconds(Math.round(minutes * 60)).toString();
    }
}
