package wrenchnotes.server.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Sha256;

class PictureTest {

    @Test
    void isMadeFitForTheScreenAndUpright() throws IOException {
        // Exif 2.3 (published, from memory): tag 0x0112 orientation 6 means that the top is at the right of the file.
        Picture picture = Picture.of(withExif(jpeg(2400, 1200), 6, "52.1,4.3 camera nine"));
        assertThat(picture.width()).isEqualTo(800);
        assertThat(picture.height()).isEqualTo(1600);
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture.jpeg()));
        assertThat(new int[] {image.getWidth(), image.getHeight()}).containsExactly(800, 1600);
        // The red left third of the file is at the top now.
        assertThat(new Color(image.getRGB(400, 100)).getRed()).isGreaterThan(180);
        assertThat(new Color(image.getRGB(400, 1500)).getRed()).isLessThan(80);
        String bytes = new String(picture.jpeg(), StandardCharsets.ISO_8859_1);
        assertThat(bytes).doesNotContain("Exif").doesNotContain("camera nine");
    }

    @Test
    void theSamePictureHasTheSameName() throws IOException {
        byte[] file = jpeg(300, 200);
        assertThat(Picture.of(file).hash()).isEqualTo(Picture.of(file).hash()).hasSize(64);
        assertThat(Picture.of(file).width()).as("small ones stay as they are").isEqualTo(300);
    }

    @Test
    void saysWhatToDoAboutWhatItCannotRead() throws IOException {
        byte[] heic = new byte[64];
        System.arraycopy("ftypheic".getBytes(StandardCharsets.US_ASCII), 0, heic, 4, 8);
        refused(heic, "HEIC", "JPEG");
        refused("%PDF-1.7 not a picture".getBytes(StandardCharsets.US_ASCII), "JPEG, PNG or GIF");
        refused(new byte[0], "empty");
        byte[] cut = jpeg(300, 200);
        refused(Arrays.copyOf(cut, 40), "no picture");
        assertThatThrownBy(() -> Picture.kept("0".repeat(64), cut)).hasMessageContaining("damaged");
        // A file from elsewhere must not bring in what taking a photo strips.
        byte[] tagged = withExif(cut, 1, "52.1,4.3");
        assertThatThrownBy(() -> Picture.kept(Sha256.of(tagged), tagged)).hasMessageContaining("camera");
        assertThat(Picture.kept(Sha256.of(cut), cut).width()).isEqualTo(300);
    }

    /** Small files that say they are large, or whose words unpack without end: none of them is decoded to its full size. */
    @Test
    void aFileThatUnpacksToMoreThanTheHeapIsReadWithinItsBudget() throws IOException {
        byte[] plain = png(8_900, 8_900, new byte[0]);
        assertThat(plain.length).as("a bomb of 79 megapixels").isLessThan(400_000);
        byte[] bomb = png(300, 300, new byte[150_000_000]);
        assertThat(bomb.length).as("150 MB of words").isLessThan(400_000);
        assertThat(decodedInAHeapOf96Megabytes(plain)).isEqualTo("1600");
        assertThat(decodedInAHeapOf96Megabytes(bomb)).isEqualTo("300");
        refused(png(9_500, 9_500, new byte[0]), "90 megapixels", "at most 80");
        refused(png(40_000, 10, new byte[0]), "30,000 a side");
    }

    /** Whatever carries words, it is not in what is kept: Exif, XMP, IPTC, comments, and what follows the end. */
    @Test
    void nothingSurvivesButThePicture() throws IOException {
        byte[] plain = jpeg(300, 200);
        List<byte[]> carriers = List.of(
                segment(plain, 0xE1, "http://ns.adobe.com/xap/1.0/\0secret place"),
                segment(plain, 0xED, "Photoshop 3.0\0secret place"),
                segment(plain, 0xFE, "secret place"),
                concat(plain, "secret place".getBytes(StandardCharsets.US_ASCII)));
        for (byte[] carrier : carriers) {
            assertThat(new String(carrier, StandardCharsets.ISO_8859_1)).contains("secret place");
            byte[] kept = Picture.of(carrier).jpeg();
            assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("secret place");
            assertThat(PictureFile.isBare(kept)).isTrue();
            assertThatThrownBy(() -> Picture.kept(Sha256.of(carrier), carrier)).hasMessageContaining("camera");
        }
    }

    /** By a program of its own, whose heap would not hold either of them as it says it is. */
    private static String decodedInAHeapOf96Megabytes(byte[] file) throws IOException {
        Path picture = Files.write(Files.createTempFile("bomb", ".png"), file);
        try {
            Process child = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-Xmx96m",
                            "-Djava.awt.headless=true",
                            "-cp",
                            System.getProperty("java.class.path"),
                            Decoding.class.getName(),
                            picture.toString())
                    .redirectErrorStream(true)
                    .start();
            return new String(child.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        } finally {
            Files.delete(picture);
        }
    }

    /** Says how wide a picture is, once it is decoded. */
    static final class Decoding {
        public static void main(String[] args) throws IOException {
            System.out.println(Picture.of(Files.readAllBytes(Path.of(args[0]))).width());
        }
    }

    private static byte[] concat(byte[] one, byte[] other) {
        byte[] both = Arrays.copyOf(one, one.length + other.length);
        System.arraycopy(other, 0, both, one.length, other.length);
        return both;
    }

    private static byte[] segment(byte[] jpeg, int marker, String words) throws IOException {
        byte[] said = words.getBytes(StandardCharsets.ISO_8859_1);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.write(new byte[] {(byte) 0xFF, (byte) marker, (byte) (said.length + 2 >> 8), (byte) (said.length + 2)});
        out.write(said);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    /** A white PNG written row by row, with words that are packed (PNG, third edition, W3C 2025, 11.3.3). */
    private static byte[] png(int width, int height, byte[] words) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        ByteBuffer head = ByteBuffer.allocate(13).putInt(width).putInt(height);
        chunk(out, "IHDR", head.put(new byte[] {8, 2, 0, 0, 0}).array());
        if (words.length > 0) {
            chunk(out, "zTXt", concat("Comment\0\0".getBytes(StandardCharsets.US_ASCII), packed(words, 1)));
        }
        chunk(out, "IDAT", packed(new byte[width * 3 + 1], height));
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static byte[] packed(byte[] row, int times) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflated = new DeflaterOutputStream(out)) {
            for (int n = 0; n < times; n++) {
                deflated.write(row);
            }
        }
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] data) throws IOException {
        byte[] named = concat(type.getBytes(StandardCharsets.US_ASCII), data);
        CRC32 sum = new CRC32();
        sum.update(named);
        out.write(ByteBuffer.allocate(4).putInt(data.length).array());
        out.write(named);
        out.write(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
    }

    private static void refused(byte[] file, String... words) {
        assertThatThrownBy(() -> Picture.of(file)).isInstanceOf(Invalid.class).hasMessageContainingAll(words);
    }

    private static byte[] jpeg(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = image.createGraphics();
        brush.setColor(Color.RED);
        brush.fillRect(0, 0, width / 3, height);
        brush.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", out);
        return out.toByteArray();
    }

    /** Puts an Exif block with an orientation and a line of text behind the start of the file. */
    private static byte[] withExif(byte[] jpeg, int orientation, String words) throws IOException {
        ByteArrayOutputStream tiff = new ByteArrayOutputStream();
        tiff.write("Exif\0\0MM\0*\0\0\0\u0008\0\u0001".getBytes(StandardCharsets.ISO_8859_1));
        tiff.write(new byte[] {0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte) orientation, 0, 0, 0, 0, 0, 0});
        tiff.write(words.getBytes(StandardCharsets.US_ASCII));
        int length = tiff.size() + 2;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.write(new byte[] {(byte) 0xFF, (byte) 0xE1, (byte) (length >> 8), (byte) length});
        out.write(tiff.toByteArray());
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }
}
