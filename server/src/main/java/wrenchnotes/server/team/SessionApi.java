package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.shop.TheShop;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
public class SessionApi {

    private static final String WRONG = "That name and password do not fit together. Try again.";

    private final PersonStore people;
    private final PasswordEncoder passwords;

    /** As dear to compare as anybody's. Made when it is first asked for, since making one would lengthen every start. */
    private final Supplier<String> nobodysHash;

    private final SecurityContextRepository sessions;
    private final RememberedSignIns rememberMe;
    private final TransactionTemplate writing;
    private final Snapshot snapshot;
    private final Settings settings;
    private final TheShop shop;
    private final Rights rights;
    private final Clock clock;

    SessionApi(
            PersonStore people,
            PasswordEncoder passwords,
            SecurityContextRepository sessions,
            RememberedSignIns rememberMe,
            PlatformTransactionManager transactions,
            Snapshot snapshot,
            Settings settings,
            TheShop shop,
            Rights rights,
            Clock clock) {
        this.people = people;
        this.passwords = passwords;
        nobodysHash = SingletonSupplier.of(() -> passwords.encode("nobody"));
        this.sessions = sessions;
        this.rememberMe = rememberMe;
        this.writing = new TransactionTemplate(transactions);
        this.snapshot = snapshot;
        this.settings = settings;
        this.shop = shop;
        this.rights = rights;
        this.clock = clock;
    }

    public record SignInSaid(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(max = 72) String password) {}

    /**
     * How this browser stands with the shop.
     *
     * @param person empty when nobody is signed in
     * @param firstVisit nobody works here yet: the next to come makes the first lead
     * @param may what the person may do here
     * @param practice whether this is a practice shop: nothing in it counts
     * @param demoPeople names shown on the sign-in page in demo mode
     */
    public record SessionView(
            Optional<SignedIn> person,
            boolean firstVisit,
            boolean practice,
            List<String> demoPeople,
            Optional<String> demoPassword,
            ShopSettings shop,
            Set<Act> may) {}

    @GetMapping
    SessionView session() {
        return snapshot.read(() -> view(signedIn()));
    }

    @PostMapping
    ResponseEntity<?> signIn(
            @Valid @RequestBody SignInSaid entry, HttpServletRequest request, HttpServletResponse response) {
        Optional<PersonStore.Person> person =
                snapshot.read(() -> people.find(entry.name().strip()));
        // An unknown name takes as long as a wrong password, so that names cannot be tried out.
        String hash = person.map(PersonStore.Person::passwordHash).orElseGet(nobodysHash);
        if (!passwords.matches(entry.password(), hash) || person.isEmpty()) {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, WRONG);
            problem.setTitle("Not signed in");
            return ResponseEntity.of(problem).build();
        }
        return ResponseEntity.ok(enter(person.get(), request, response));
    }

    @PostMapping("/first")
    SessionView makeFirstLead(
            @Valid @RequestBody SignInSaid entry, HttpServletRequest request, HttpServletResponse response) {
        String hash = passwords.encode(entry.password());
        writing.executeWithoutResult(status -> {
            if (!people.isEmpty()) {
                throw Refused.because("This shop has people already. Sign in, or ask its lead to add you.");
            }
            people.add(clock.instant(), entry.name().strip(), hash, Set.of(Role.LEAD));
        });
        return enter(people.find(entry.name().strip()).orElseThrow(), request, response);
    }

    @DeleteMapping
    SessionView signOut(HttpServletRequest request, HttpServletResponse response) {
        Authentication was = SecurityContextHolder.getContext().getAuthentication();
        rememberMe.logout(request, response, was);
        SecurityContextHolder.clearContext();
        if (request.getSession(false) != null) {
            request.getSession().invalidate();
        }
        return snapshot.read(() -> view(Optional.empty()));
    }

    private SessionView enter(PersonStore.Person person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        PersonStore.Account account = new PersonStore.Account(person.signedIn(), person.passwordHash());
        Authentication authentication =
                UsernamePasswordAuthenticationToken.authenticated(account, null, account.getAuthorities());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
        rememberMe.loginSuccess(request, response, authentication);
        return view(Optional.of(person.signedIn()));
    }

    private static Optional<SignedIn> signedIn() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null || who instanceof AnonymousAuthenticationToken
                ? Optional.empty()
                : Optional.of(Session.current());
    }

    private SessionView view(Optional<SignedIn> person) {
        return new SessionView(
                person,
                people.isEmpty(),
                settings.practice(),
                settings.demo() ? DemoPeople.NAMES : List.of(),
                settings.demo() ? Optional.of(DemoPeople.PASSWORD) : Optional.empty(),
                shop.now(),
                person.map(one -> may(one.id())).orElse(Set.of()));
    }

    private Set<Act> may(long person) {
        Set<Act> may = EnumSet.noneOf(Act.class);
        for (Act act : Act.values()) {
            if (act.openTo(rights.of(person))) {
                may.add(act);
            }
        }
        return may;
    }
}
