package wrenchnotes.server.team;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import wrenchnotes.core.unit.Invalid;

/**
 * Which passwords are taken, and how they are kept. Long ones that are not among the first to be tried; nothing is asked of their letters
 * (NIST SP 800-63B, 5.1.1.2). How soon one would be tried is reckoned as by Wheeler, zxcvbn (USENIX Security 2016).
 */
@Component
class Passwords {

    static final int LEAST = 10;
    /** All that bcrypt looks at. */
    private static final int MOST_BYTES = 72;
    /** Tried within the first million guesses: the second of the scale's five steps begins there. */
    private static final int TRIED_SOON = 1;

    private final PasswordEncoder encoder;

    /** As dear to compare as anybody's. Made when it is first asked for, since making one would lengthen every start. */
    private final Supplier<String> nobodys;

    private final Supplier<Zxcvbn> guesser = SingletonSupplier.of(Zxcvbn::new);

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        this.nobodys = SingletonSupplier.of(() -> encoder.encode("nobody"));
    }

    /**
     * @param field where it was typed
     * @param name whose it will be
     * @return what is kept of it
     * @throws Invalid if it is too short, too long for bcrypt, or among the first that are tried
     */
    String kept(String field, String password, String name) {
        if (password.codePointCount(0, password.length()) < LEAST) {
            throw new Invalid(
                    field, "A password has at least " + LEAST + " letters: three or four words make a good one");
        }
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MOST_BYTES) {
            throw new Invalid(
                    field,
                    "This password takes " + bytes + " bytes; at most " + MOST_BYTES
                            + " are looked at: choose a shorter one");
        }
        if (guesser.get().measure(password, List.of(name, "wrench", "notes")).getScore() <= TRIED_SOON) {
            throw new Invalid(
                    field,
                    "This password is among the first that are tried: choose another, such as four words that do not belong together");
        }
        return encoder.encode(password);
    }

    /** @param kept empty if nobody has that name: it takes as long, so that names cannot be tried out */
    boolean fits(String password, Optional<String> kept) {
        return encoder.matches(password, kept.orElseGet(nobodys)) && kept.isPresent();
    }
}
