package wrenchnotes.server.photo;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.BufferUnderflowException;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.filters.ImageFilter;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import wrenchnotes.core.unit.Invalid;

/**
 * A picture's file from somebody, decoded within a budget: how many dots it says to have is looked at first, no more of them are decoded
 * than are kept at double the size, and one picture at a time. At most some 45 MB are held, whatever the file says.
 */
final class PictureFile {

    private static final long MOST_PIXELS = 80_000_000;
    /** A reader holds a whole row. */
    private static final int LONGEST_ROW = 30_000;

    private static final int DECODED_SIDE = 3200;
    private static final Set<String> FORMATS = Set.of("jpeg", "png", "gif");
    private static final Semaphore ONE = new Semaphore(1, true);

    private PictureFile() {}

    /** @throws Invalid if it is no picture that is read here, or too large a one */
    static Picture decoded(byte[] file) {
        ONE.acquireUninterruptibly();
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null || !FORMATS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                throw new IOException("No reader");
            }
            try {
                return Picture.drawn(upright(reader, stream, file));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof Invalid said
                    ? said
                    : new Invalid("photo", "This file is no picture that can be read here: take JPEG, PNG or GIF");
        } finally {
            ONE.release();
        }
    }

    private static BufferedImage upright(ImageReader reader, ImageInputStream stream, byte[] file) throws IOException {
        // Words beside the picture are not read: what a PNG says is packed, and may unpack to anything.
        reader.setInput(stream, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_ROW) {
            throw new Invalid(
                    "photo",
                    "The picture has " + (long) width * height / 1_000_000 + " megapixels (" + width + " × " + height
                            + "); at most 80 are read, and 30,000 a side");
        }
        int every = Math.max(1, (Math.max(width, height) + DECODED_SIDE - 1) / DECODED_SIDE);
        ImageReadParam fewer = reader.getDefaultReadParam();
        fewer.setSourceSubsampling(every, every, 0, 0);
        ImageFilter turned = ExifFilterUtils.getFilterForOrientation(orientation(file));
        return turned.apply(Thumbnails.of(reader.read(0, fewer))
                .scale(1)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .asBufferedImage());
    }

    /** Which way is up, as a camera says it in the segment APP1 of a JPEG (Exif 2.3); as it lies, if nothing is said. */
    private static Orientation orientation(byte[] file) {
        int place = 2;
        while (place + 10 <= file.length && at(file, place) == 0xFF && at(file, place + 1) != 0xDA) {
            int length = at(file, place + 2) << 8 | at(file, place + 3);
            if (at(file, place + 1) == 0xE1 && at(file, place + 4) == 'E' && at(file, place + 5) == 'x') {
                try {
                    Orientation said = ExifUtils.getOrientationFromExif(
                            Arrays.copyOfRange(file, place + 4, Math.min(file.length, place + 2 + length)));
                    return said == null ? Orientation.TOP_LEFT : said;
                } catch (BufferUnderflowException | IllegalArgumentException e) {
                    return Orientation.TOP_LEFT;
                }
            }
            place += 2 + Math.max(2, length);
        }
        return Orientation.TOP_LEFT;
    }

    /**
     * Whether a JPEG holds nothing but the picture: no application's segments but JFIF's own, no comment, nothing behind its end (ITU-T
     * T.81, annex B).
     */
    static boolean isBare(byte[] jpeg) {
        if (jpeg.length < 4 || at(jpeg, 0) != 0xFF || at(jpeg, 1) != 0xD8) {
            return false;
        }
        int place = 2;
        while (place + 4 <= jpeg.length && at(jpeg, place) == 0xFF) {
            int marker = at(jpeg, place + 1);
            int length = at(jpeg, place + 2) << 8 | at(jpeg, place + 3);
            boolean application =
                    marker >= 0xE1 && marker <= 0xEF || marker == 0xE0 && !isPlainJfif(jpeg, place, length);
            if (application || marker == 0xFE || length < 2) {
                return false;
            }
            place += 2 + length;
            if (marker == 0xDA) {
                place = behindScan(jpeg, place);
                if (place + 2 <= jpeg.length && at(jpeg, place + 1) == 0xD9) {
                    return place + 2 == jpeg.length;
                }
            }
        }
        return false;
    }

    /** JFIF without a thumbnail: 16 bytes. */
    private static boolean isPlainJfif(byte[] jpeg, int place, int length) {
        return length == 16 && at(jpeg, place + 4) == 'J' && at(jpeg, place + 5) == 'F';
    }

    /** The next marker that is no restart and no stuffed byte. */
    private static int behindScan(byte[] jpeg, int from) {
        int place = from;
        while (place + 1 < jpeg.length) {
            int next = at(jpeg, place + 1);
            if (at(jpeg, place) == 0xFF && next != 0 && (next < 0xD0 || next > 0xD7)) {
                return place;
            }
            place++;
        }
        return jpeg.length;
    }

    private static int at(byte[] bytes, int place) {
        return bytes[place] & 0xFF;
    }
}
