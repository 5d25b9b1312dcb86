package wrenchnotes.server.ground;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;

/** What only its holder has, and what the shop keeps of it. 256 random bits cannot be guessed, so a plain hash of them is enough. */
public final class Secret {

    /** No letter or figure that is taken for another when it is copied by hand. */
    private static final String LEGIBLE = "23456789ABCDEFGHJKMNPQRSTUVWXYZ";

    private static final SecureRandom RANDOM = new SecureRandom();

    private Secret() {}

    /** 64 hexadecimal figures. */
    public static String fresh() {
        byte[] bytes = new byte[32];
        RANDOM.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }

    /** To be typed by somebody: groups of four letters and figures, such as {@code 7KQF-M2TD}. */
    public static String legible(int groups) {
        StringBuilder code = new StringBuilder();
        for (int at = 0; at < groups * 4; at++) {
            code.append(at > 0 && at % 4 == 0 ? "-" : "").append(LEGIBLE.charAt(RANDOM.nextInt(LEGIBLE.length())));
        }
        return code.toString();
    }

    /** SHA-256, in hexadecimal. */
    public static String hash(String secret) {
        return Sha256.of(secret.getBytes(StandardCharsets.UTF_8));
    }

    /** Compared in the same time whatever differs. */
    public static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
