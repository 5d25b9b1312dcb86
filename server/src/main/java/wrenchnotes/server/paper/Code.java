package wrenchnotes.server.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/** The code that a scanner types, drawn square by square, so that it stays sharp at any size. */
final class Code {

    private static final int QUIET = 2;

    private Code() {}

    /** @param mm how wide, with its quiet edge */
    static String svg(String text, double mm) {
        try {
            BitMatrix squares =
                    new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 1, 1, Map.of(EncodeHintType.MARGIN, 0));
            int size = squares.getWidth() + 2 * QUIET;
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < squares.getHeight(); y++) {
                for (int x = 0; x < squares.getWidth(); x++) {
                    if (squares.get(x, y)) {
                        path.append('M')
                                .append(x + QUIET)
                                .append(' ')
                                .append(y + QUIET)
                                .append("h1v1h-1z");
                    }
                }
            }
            return "<svg xmlns=\"http://www.w3.org/2000/svg\" style=\"width:%1$smm;height:%1$smm\" viewBox=\"0 0 %2$d %2$d\">"
                            .formatted(mm, size)
                    + "<path fill=\"black\" d=\"" + path + "\"/></svg>";
        } catch (WriterException e) {
            throw new IllegalStateException("A tag always fits a code", e);
        }
    }
}
