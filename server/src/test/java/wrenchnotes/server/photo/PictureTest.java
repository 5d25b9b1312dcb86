package wrenchnotes.server.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.unit.Invalid;

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
        refused(java.util.Arrays.copyOf(cut, 40), "no picture");
        assertThatThrownBy(() -> Picture.kept("0".repeat(64), cut)).hasMessageContaining("damaged");
        // A file from elsewhere must not bring in what taking a photo strips.
        byte[] tagged = withExif(cut, 1, "52.1,4.3");
        assertThatThrownBy(() -> Picture.kept(Picture.sha256(tagged), tagged)).hasMessageContaining("camera");
        assertThat(Picture.kept(Picture.sha256(cut), cut).width()).isEqualTo(300);
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
