package wrenchnotes.server.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.server.photo.Picture;

/** Pictures of the demo's models, drawn by us: one side in outline on the cloth, with the fasteners that a step takes off. */
final class DemoPictures {

    private static final int WIDTH = 960;
    private static final int HEIGHT = 600;
    private static final int EDGE = 70;
    private static final Color CLOTH = new Color(0x2F6B5C);
    private static final Color CASE = new Color(0xD8D2C2);
    private static final Color SEAM = new Color(0x8E8773);

    private DemoPictures() {}

    /** A picture of what a step starts from, and its marks. */
    record Drawn(Picture picture, Photo photo) {}

    static Drawn of(Step step) {
        List<Photo.Mark> marks = new ArrayList<>();
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = image.createGraphics();
        brush.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawCase(brush, step.side().ordinal());
        int group = 0;
        for (FastenerGroup fasteners : step.fasteners()) {
            List<Spot> spots = fasteners.spots().isEmpty() ? around(fasteners.asMade(), group) : fasteners.spots();
            spots.forEach(spot -> drawHead(brush, spot, fasteners));
            marks.add(new Photo.Mark(Photo.MarkKind.FASTENER, onImage(spots.get(0)), fasteners.words()));
            group++;
        }
        if (!step.caution().isEmpty()) {
            marks.add(new Photo.Mark(Photo.MarkKind.CAUTION, new Spot(0.5, 0.5), shortened(step.caution())));
        }
        brush.dispose();
        Picture picture = drawn(image);
        return new Drawn(picture, new Photo(picture.hash(), "Before it is begun", marks));
    }

    /** One side of the closed case, with what tells the revision apart marked on it. */
    static Drawn look(Step outermost, String tellApart) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = image.createGraphics();
        brush.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawCase(brush, outermost.side().ordinal());
        int group = 0;
        for (FastenerGroup fasteners : outermost.fasteners()) {
            if (fasteners.hides().isEmpty()) {
                List<Spot> spots = fasteners.spots().isEmpty() ? around(fasteners.asMade(), group) : fasteners.spots();
                spots.forEach(spot -> drawHead(brush, spot, fasteners));
            }
            group++;
        }
        brush.setColor(SEAM);
        brush.setStroke(new BasicStroke(7));
        for (int rib = 0; rib < tellApart.length() % 4; rib++) {
            brush.draw(new Line2D.Double(200, 420 + rib * 26.0, 760, 420 + rib * 26.0));
        }
        brush.dispose();
        Picture picture = drawn(image);
        return new Drawn(
                picture,
                new Photo(
                        picture.hash(),
                        "",
                        List.of(new Photo.Mark(Photo.MarkKind.FASTENER, new Spot(0.3, 0.72), tellApart))));
    }

    private static void drawCase(Graphics2D brush, int side) {
        brush.setColor(CLOTH);
        brush.fillRect(0, 0, WIDTH, HEIGHT);
        RoundRectangle2D body =
                new RoundRectangle2D.Double(EDGE, EDGE, WIDTH - 2.0 * EDGE, HEIGHT - 2.0 * EDGE, 46, 46);
        brush.setColor(CASE);
        brush.fill(body);
        brush.setColor(SEAM);
        brush.setStroke(new BasicStroke(5));
        brush.draw(body);
        brush.setStroke(new BasicStroke(2));
        for (int slot = 0; slot < 7; slot++) {
            double x = 360 + slot * 34 + side * 6.0;
            brush.draw(new Line2D.Double(x, 270, x, 330));
        }
        brush.draw(new RoundRectangle2D.Double(
                EDGE + 60, EDGE + 50, WIDTH - 2.0 * EDGE - 120, HEIGHT - 2.0 * EDGE - 100, 20, 20));
    }

    private static void drawHead(Graphics2D brush, Spot spot, FastenerGroup group) {
        double x = EDGE + spot.x() * (WIDTH - 2.0 * EDGE);
        double y = EDGE + spot.y() * (HEIGHT - 2.0 * EDGE);
        double radius = 6 + 2.2 * group.diameterMm().orElse(3.0);
        brush.setColor(
                switch (group.finish().orElse(Finish.SILVER)) {
                    case BLACK -> new Color(0x2B2F31);
                    case SILVER -> new Color(0xA9B0B3);
                    case BRASS -> new Color(0xC0902F);
                });
        brush.fill(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
        brush.setColor(new Color(0xF4F0E6));
        brush.setStroke(new BasicStroke(2.5f));
        double arm = radius * 0.55;
        if (group.size().startsWith("PH")) {
            brush.draw(new Line2D.Double(x - arm, y, x + arm, y));
            brush.draw(new Line2D.Double(x, y - arm, x, y + arm));
        } else {
            brush.draw(new Ellipse2D.Double(x - arm, y - arm, 2 * arm, 2 * arm));
        }
    }

    /** Along the edge, evenly, each group a little further in. */
    private static List<Spot> around(int count, int group) {
        List<Spot> spots = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            double turn = 2 * Math.PI * (n + 0.5) / count;
            double reach = 0.44 - 0.12 * group;
            spots.add(new Spot(
                    0.5 + within(reach * 1.35 * Math.cos(turn), reach),
                    0.5 + within(reach * 1.35 * Math.sin(turn), reach)));
        }
        return spots;
    }

    private static double within(double value, double reach) {
        return Math.max(-reach, Math.min(reach, value));
    }

    private static Spot onImage(Spot onCase) {
        return new Spot(
                (EDGE + onCase.x() * (WIDTH - 2.0 * EDGE)) / WIDTH,
                (EDGE + onCase.y() * (HEIGHT - 2.0 * EDGE)) / HEIGHT);
    }

    private static String shortened(String words) {
        return words.length() <= 120 ? words : words.substring(0, 119) + "…";
    }

    private static Picture drawn(BufferedImage image) {
        try {
            return Picture.drawn(image);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
