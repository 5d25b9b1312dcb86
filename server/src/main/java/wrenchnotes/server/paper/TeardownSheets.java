package wrenchnotes.server.paper;

import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.MatPlan;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.server.shop.TheShop;

/** Teardown notes on paper: each step with its cautions first, what comes off drawn at its true size, and its photos. */
@Component
public class TeardownSheets {

    private final PaperKit kit;
    private final PaperWords words;
    private final TheShop shop;

    TeardownSheets(PaperKit kit, PaperWords words, TheShop shop) {
        this.kit = kit;
        this.words = words;
        this.shop = shop;
    }

    /**
     * @param name of model and revision
     * @param tellApart how to know it from outside; may be empty
     * @param component what a component is called
     * @param pictures JPEG by hash
     */
    public record SheetOf(
            String name,
            String tellApart,
            Teardown notes,
            LongFunction<String> component,
            Map<String, byte[]> pictures) {}

    /** A thing that comes off. @param drawing empty for what is no fastener */
    public record Off(String words, String drawing) {}

    /** @param source the picture itself, as a data URI */
    public record Shown(String source, String words, List<Pointed> marks) {}

    /** @param left per cent from the left, @param top from the top */
    public record Pointed(int number, double left, double top, String words) {}

    /** One step as it stands on the sheet. */
    public record StepOnSheet(
            int number,
            String title,
            List<String> cautions,
            String how,
            List<Sheet.NamedLine> lines,
            List<Off> off,
            List<Shown> photos) {}

    /** A4. */
    public byte[] pdf(SheetOf sheet) {
        List<Step> steps = sheet.notes().steps();
        Map<String, Object> said = new HashMap<>();
        said.put("name", words.printable(sheet.name()));
        said.put("tellApart", words.printable(sheet.tellApart()));
        said.put("before", words.printable(sheet.notes().overview().before()));
        said.put("shop", words.printable(shop.now().name()));
        said.put(
                "tools",
                words.printable(steps.stream()
                        .flatMap(step -> step.tools().stream())
                        .distinct()
                        .collect(Collectors.joining(", "))));
        said.put(
                "steps",
                IntStream.range(0, steps.size())
                        .mapToObj(n -> onSheet(n + 1, steps.get(n), sheet))
                        .toList());
        return kit.pdf("teardown", said);
    }

    private StepOnSheet onSheet(int number, Step step, SheetOf sheet) {
        List<String> cautions = new ArrayList<>();
        if (!step.caution().isEmpty()) {
            cautions.add(words.printable(step.caution()));
        }
        if (step.waitHours() > 0) {
            cautions.add(words.say("leftoff", step.waitHours()));
        }
        if (step.danger().leadOnly()) {
            cautions.add(words.say("leadonly"));
        }
        Map<String, String> titles = sheet.notes().steps().stream().collect(Collectors.toMap(Step::id, Step::title));
        List<Sheet.NamedLine> lines = new ArrayList<>();
        line(lines, "first", step.mustBeTrue());
        line(lines, "sideup", step.side().words());
        line(lines, "tool", step.tool());
        line(
                lines,
                "needsfirst",
                step.needs().stream()
                        .map(need -> titles.getOrDefault(need, need))
                        .collect(Collectors.joining(", ")));
        line(
                lines,
                "exposes",
                step.exposes().stream().map(sheet.component()::apply).collect(Collectors.joining(", ")));
        line(lines, "stays", step.stays().stream().map(Staying::sentence).collect(Collectors.joining("; ")));
        line(lines, "wayback", step.closeUp());
        return new StepOnSheet(
                number,
                words.printable(step.title()),
                cautions,
                words.printable(step.how()),
                lines,
                step.things().stream().map(this::off).toList(),
                step.photos().stream()
                        .filter(photo -> sheet.pictures().containsKey(photo.hash()))
                        .map(photo -> shown(photo, sheet.pictures().get(photo.hash())))
                        .toList());
    }

    private void line(List<Sheet.NamedLine> lines, String name, String text) {
        if (!text.isBlank()) {
            lines.add(new Sheet.NamedLine(name, words.printable(text), false));
        }
    }

    private Off off(Thing thing) {
        if (!(thing instanceof FastenerGroup group)) {
            String what = thing.inAll();
            boolean gone = thing instanceof LoosePiece piece && piece.usedUp();
            return new Off(words.printable(gone ? what + ", " + words.say("usedup") : what), "");
        }
        double wide = MatPlan.width(group) + 1;
        double high = FastenerShape.of(group).headDiameterMm() + 1;
        String drawing = Svg.text(
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.2fmm\" height=\"%2$.2fmm\""
                                + " viewBox=\"0 0 %1$.2f %2$.2f\">",
                        wide, high)
                + FastenerDrawing.svg(group, 0.5, high / 2)
                + "</svg>";
        return new Off(
                words.printable(group.label() + ": " + shop.now().decimal().written(group.words())), drawing);
    }

    private Shown shown(Photo photo, byte[] jpeg) {
        List<Photo.Mark> marks = photo.marks();
        return new Shown(
                "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg),
                words.printable(photo.words()),
                IntStream.range(0, marks.size())
                        .mapToObj(n -> new Pointed(
                                n + 1,
                                100 * marks.get(n).at().x(),
                                100 * marks.get(n).at().y(),
                                words.printable(marks.get(n).words())))
                        .toList());
    }
}
