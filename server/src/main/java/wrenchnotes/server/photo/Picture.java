package wrenchnotes.server.photo;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import net.coobird.thumbnailator.Thumbnails;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Sha256;

/**
 * A picture as it is kept: a JPEG of at most 1600 pixels a side, upright, with nothing in it but the picture. Writing it
 * anew is what strips place, time and camera.
 *
 * @param hash SHA-256 of the bytes, in hexadecimal
 */
public record Picture(String hash, int width, int height, byte[] jpeg) {

    private static final int LONGEST_SIDE = 1600;
    private static final int LARGEST_FILE = 25_000_000;
    private static final Set<String> HEIC = Set.of("heic", "heix", "hevc", "heim", "heis", "mif1", "msf1", "avif");

    /** @throws Invalid if it is no picture that can be read here; says what to do instead */
    public static Picture of(byte[] file) {
        if (file.length == 0) {
            throw new Invalid("photo", "The file is empty: pick the picture again");
        }
        if (file.length > LARGEST_FILE) {
            throw new Invalid("photo", "The picture has " + file.length / 1_000_000 + " MB; at most 25 MB are taken");
        }
        if (isHeic(file)) {
            throw new Invalid(
                    "photo",
                    "This is a HEIC or AVIF picture, which cannot be read here. Set the phone's camera to JPEG,"
                            + " or send the picture to yourself as JPEG, and take that");
        }
        return PictureFile.decoded(file);
    }

    /** A picture that was drawn here, or read: as it is kept, no larger than the screen needs. */
    public static Picture drawn(BufferedImage image) throws IOException {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(image.getWidth(), image.getHeight()));
        Thumbnails.of(image)
                .scale(scale)
                .outputFormat("jpg")
                .outputQuality(0.85)
                .toOutputStream(jpeg);
        return new Picture(
                Sha256.of(jpeg.toByteArray()),
                Math.max(1, (int) Math.round(image.getWidth() * scale)),
                Math.max(1, (int) Math.round(image.getHeight() * scale)),
                jpeg.toByteArray());
    }

    /**
     * A picture that was made fit before, coming back in a file.
     *
     * @throws Invalid if it is not the picture that the hash names, or no JPEG
     */
    public static Picture kept(String hash, byte[] jpeg) {
        if (jpeg.length > LARGEST_FILE || !Sha256.of(jpeg).equals(hash)) {
            throw new Invalid(
                    "photos", "Photo " + hash + " is not the picture that its name says: the file is damaged");
        }
        if (!PictureFile.isBare(jpeg)) {
            throw new Invalid(
                    "photos",
                    "Photo " + hash + " is no JPEG as it is kept here, or still carries what the camera wrote into it");
        }
        Picture again = PictureFile.decoded(jpeg);
        return new Picture(hash, again.width(), again.height(), jpeg);
    }

    /** ISO base media files name their brand in bytes 8 to 12, after "ftyp" (published: ISO/IEC 14496-12). */
    private static boolean isHeic(byte[] file) {
        return file.length > 12
                && new String(file, 4, 4, StandardCharsets.US_ASCII).equals("ftyp")
                && HEIC.contains(new String(file, 8, 4, StandardCharsets.US_ASCII));
    }
}
