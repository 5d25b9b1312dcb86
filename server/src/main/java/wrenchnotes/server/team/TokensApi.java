package wrenchnotes.server.team;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Secret;
import wrenchnotes.server.ground.Snapshot;

/** What lets scripts in: named, for some rooms, to read or to write, to be revoked. */
@RestController
@RequestMapping("/api/tokens")
@May(value = Act.TRUST, toRead = true)
class TokensApi {

    /** Who may what, and from where the shop is reached, is for people to say. */
    private static final Set<String> NEVER_WRITTEN = Set.of("team", "door");

    private final TokenStore tokens;
    private final Journal journal;
    private final Snapshot snapshot;
    private final ObjectProvider<RequestMappingHandlerMapping> doors;

    TokensApi(
            TokenStore tokens,
            Journal journal,
            Snapshot snapshot,
            @Qualifier("requestMappingHandlerMapping") ObjectProvider<RequestMappingHandlerMapping> doors) {
        this.tokens = tokens;
        this.journal = journal;
        this.snapshot = snapshot;
        this.doors = doors;
    }

    /** @param used when it was last used, to the hour; left out if never */
    public record TokenView(
            long id, String name, List<Scope> scopes, Instant at, String maker, Optional<Instant> used) {
        static TokenView of(TokenStore.Row row) {
            return new TokenView(row.id(), row.name(), row.scopes(), row.at(), row.maker(), row.used());
        }
    }

    /** @param rooms what a token can be for */
    public record TokensNow(List<TokenView> tokens, Set<String> rooms) {}

    public record TokenSaid(
            @NotBlank @Size(max = 60) String name,
            @NotEmpty @Size(max = 60) List<@NotNull @Valid Scope> scopes) {}

    /** @param token told once, and not kept */
    public record TokenMade(TokenView made, String token) {}

    @GetMapping
    TokensNow all() {
        return new TokensNow(
                snapshot.read(() -> tokens.all().stream().map(TokenView::of).toList()), rooms());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    TokenMade make(@Valid @RequestBody TokenSaid said, Pen pen) {
        String name = Checked.text("name", said.name(), 60);
        Set<String> rooms = rooms();
        for (Scope scope : said.scopes()) {
            if (scope.room() == null || !rooms.contains(scope.room())) {
                throw new Invalid(
                        "scopes", "There is no room \"" + scope.room() + "\": there are " + String.join(", ", rooms));
            }
            if (scope.writing() && NEVER_WRITTEN.contains(scope.room())) {
                throw new Invalid("scopes", "No script says who gets in: \"" + scope.room() + "\" can be read only");
            }
        }
        String token = Secret.fresh();
        return pen.eachTime(by -> {
            List<Scope> scopes = said.scopes().stream().distinct().toList();
            long id = tokens.make(name, Secret.hash(token), scopes, by.person(), by.at());
            TokenView made = TokenView.of(tokens.token(id));
            journal.write(by, Journal.Entry.ofShop("token", id, "A token for scripts: " + name, null, made));
            return new TokenMade(made, token);
        });
    }

    /** It opens nothing from now on. */
    @DeleteMapping("/{token}")
    TokensNow revoke(@PathVariable long token, Pen pen) {
        pen.once("revoked", by -> {
            TokenStore.Row row = tokens.token(token);
            tokens.end(token, by.at());
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "token", token, "The token " + row.name() + " is revoked", TokenView.of(row), null));
        });
        return all();
    }

    private Set<String> rooms() {
        Set<String> rooms = new TreeSet<>();
        doors.getObject().getHandlerMethods().values().forEach(way -> {
            if (way.getBeanType().getPackageName().startsWith("wrenchnotes.")) {
                rooms.add(Doorkeeper.room(way));
            }
        });
        rooms.remove("ground");
        return rooms;
    }
}
