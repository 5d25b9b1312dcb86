package wrenchnotes.server.ground;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.core.MethodParameter;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/** Hands each writing request its {@link Pen}. */
@Component
public class Pens implements HandlerMethodArgumentResolver {

    static final String REQUEST_ID = "Idempotency-Key";
    private static final Duration KEPT = Duration.ofDays(7);

    private final TransactionTemplate writing;
    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;

    Pens(PlatformTransactionManager transactions, JdbcClient jdbc, JsonMapper json, Clock clock) {
        this.writing = new TransactionTemplate(transactions);
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Pen.class;
    }

    @Override
    public Pen resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer view,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        HttpServletRequest http = request.getNativeRequest(HttpServletRequest.class);
        String id = Checked.optionalText(REQUEST_ID, http.getHeader(REQUEST_ID), 100);
        return new RequestPen(id, http.getMethod() + " " + http.getRequestURI() + " ");
    }

    /** Forgets answers that no retry will ask for any more. */
    public void forgetOldAnswers() {
        writing.executeWithoutResult(status -> jdbc.sql("DELETE FROM answered WHERE at < :before")
                .param("before", clock.instant().minus(KEPT).toEpochMilli())
                .update());
    }

    private final class RequestPen implements Pen {

        private final String id;
        private final String target;

        RequestPen(String id, String target) {
            this.id = id;
            this.target = target;
        }

        @Override
        public <T> T once(Object asked, Class<T> answer, Function<By, T> work) {
            By by = by();
            if (id.isEmpty()) {
                return writing.execute(status -> work.apply(by));
            }
            String fingerprint = fingerprint(asked);
            return writing.execute(status -> earlier(by, fingerprint, answer).orElseGet(() -> {
                T given = work.apply(by);
                keep(by, fingerprint, given);
                return given;
            }));
        }

        private By by() {
            SignedIn person = Session.current();
            return new By(person.id(), person.name(), clock.instant());
        }

        private <T> Optional<T> earlier(By by, String fingerprint, Class<T> answer) {
            record Earlier(String fingerprint, String answer) {}
            return jdbc.sql("SELECT fingerprint, answer FROM answered WHERE person_id = :person AND request = :request")
                    .param("person", by.person())
                    .param("request", id)
                    .query((row, n) -> new Earlier(row.getString("fingerprint"), row.getString("answer")))
                    .optional()
                    .map(earlier -> {
                        if (!earlier.fingerprint().equals(fingerprint)) {
                            throw new Invalid(
                                    REQUEST_ID, "This request id was used for another request: make a new one");
                        }
                        return json.readValue(earlier.answer(), answer);
                    });
        }

        private void keep(By by, String fingerprint, Object given) {
            jdbc.sql("""
                            INSERT INTO answered (person_id, request, fingerprint, answer, at)
                            VALUES (:person, :request, :fingerprint, :answer, :at)
                            """)
                    .param("person", by.person())
                    .param("request", id)
                    .param("fingerprint", fingerprint)
                    .param("answer", json.writeValueAsString(given))
                    .param("at", by.at().toEpochMilli())
                    .update();
        }

        private String fingerprint(Object asked) {
            try {
                MessageDigest sha = MessageDigest.getInstance("SHA-256");
                String text = target + json.writeValueAsString(asked);
                return HexFormat.of().formatHex(sha.digest(text.getBytes(StandardCharsets.UTF_8)));
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException("Every Java has SHA-256", e);
            }
        }
    }
}
