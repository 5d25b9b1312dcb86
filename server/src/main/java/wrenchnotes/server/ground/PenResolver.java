package wrenchnotes.server.ground;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.LongFunction;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
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
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/** Hands each writing request its {@link Pen}. */
@Component
public class PenResolver implements HandlerMethodArgumentResolver {

    static final String REQUEST_ID = "Idempotency-Key";
    private static final Duration KEPT = Duration.ofDays(7);

    /** What was written last, and what a request of this id made, if it was here before. */
    private static final String BEFORE = """
            SELECT (SELECT moment FROM journal ORDER BY id DESC LIMIT 1) AS last,
                   (SELECT at FROM journal ORDER BY id DESC LIMIT 1) AS last_at,
                   fingerprint, made
            FROM (SELECT 1) LEFT JOIN answered ON person_id = :person AND request = :request
            """;

    private record Before(long last, Optional<Instant> lastAt, Optional<String> fingerprint, long made) {}

    private final TransactionTemplate writing;
    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;
    private final ClockWatch watch;
    private final Troubles troubles;

    PenResolver(
            PlatformTransactionManager transactions,
            JdbcClient jdbc,
            JsonMapper json,
            Clock clock,
            ClockWatch watch,
            Troubles troubles) {
        this.writing = new TransactionTemplate(transactions);
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
        this.watch = watch;
        this.troubles = troubles;
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

    private Before before(SignedIn person, String request) {
        return jdbc.sql(BEFORE)
                .param("person", person.id())
                .param("request", request)
                .query((row, n) -> new Before(
                        row.getLong("last"),
                        Sql.when(row, "last_at"),
                        Optional.ofNullable(row.getString("fingerprint")),
                        row.getLong("made")))
                .single();
    }

    private By by(SignedIn person, Before before) {
        // As it will be read again: times are kept as milliseconds.
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        before.lastAt().ifPresent(last -> watch.compare(now, last));
        return new By(person.id(), person.name(), new Moment(before.last() + 1, now));
    }

    /** Nothing is written into a damaged database. */
    static final class Damaged extends RuntimeException {
        Damaged() {
            super(StoreTrouble.DAMAGED.sentence());
        }
    }

    private final class RequestPen implements Pen {

        private final String id;
        private final String target;

        RequestPen(String id, String target) {
            this.id = id;
            this.target = target;
        }

        @Override
        public <T> T eachTime(Function<By, T> work) {
            SignedIn person = Session.current();
            return write(() -> work.apply(by(person, before(person, ""))));
        }

        @Override
        public <T> T once(Object asked, Function<By, T> work, ToLongFunction<T> made, LongFunction<T> again) {
            if (id.isEmpty()) {
                return eachTime(work);
            }
            SignedIn person = Session.current();
            String fingerprint = fingerprint(asked);
            return write(() -> {
                Before before = before(person, id);
                if (before.fingerprint().isPresent()) {
                    refuseAnother(before.fingerprint().get(), fingerprint);
                    return again.apply(before.made());
                }
                By by = by(person, before);
                T answer = work.apply(by);
                keep(by, fingerprint, made.applyAsLong(answer));
                return answer;
            });
        }

        private <T> T write(Supplier<T> work) {
            if (troubles.ofWriting().filter(StoreTrouble.DAMAGED::equals).isPresent()) {
                throw new Damaged();
            }
            T answer = writing.execute(status -> work.get());
            troubles.written();
            return answer;
        }

        private void refuseAnother(String earlier, String now) {
            if (!earlier.equals(now)) {
                throw new Invalid(REQUEST_ID, "This request id was used for another request: make a new one");
            }
        }

        private void keep(By by, String fingerprint, long made) {
            jdbc.sql("""
                            INSERT INTO answered (person_id, request, fingerprint, made, at)
                            VALUES (:person, :request, :fingerprint, :made, :at)
                            """)
                    .param("person", by.person())
                    .param("request", id)
                    .param("fingerprint", fingerprint)
                    .param("made", made)
                    .param("at", by.at().toEpochMilli())
                    .update();
        }

        private String fingerprint(Object asked) {
            return Sha256.of((target + json.writeValueAsString(asked)).getBytes(StandardCharsets.UTF_8));
        }
    }
}
