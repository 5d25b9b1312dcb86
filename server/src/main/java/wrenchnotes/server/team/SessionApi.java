package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.Build;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.TooSoon;
import wrenchnotes.server.shop.TheShop;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
public class SessionApi {

    private static final String WRONG = "That name and password do not fit together. Try again.";

    private final PersonStore people;
    private final SignInStore store;
    private final SignIns signIns;
    private final Passwords passwords;
    private final Guesses guesses;
    private final FirstVisit firstVisit;
    private final DoorStore door;
    private final Snapshot snapshot;
    private final Settings settings;
    private final TheShop shop;
    private final Rights rights;
    private final Build build;

    SessionApi(
            PersonStore people,
            SignInStore store,
            SignIns signIns,
            Passwords passwords,
            Guesses guesses,
            FirstVisit firstVisit,
            DoorStore door,
            Snapshot snapshot,
            Settings settings,
            TheShop shop,
            Rights rights,
            Build build) {
        this.people = people;
        this.store = store;
        this.signIns = signIns;
        this.passwords = passwords;
        this.guesses = guesses;
        this.firstVisit = firstVisit;
        this.door = door;
        this.snapshot = snapshot;
        this.settings = settings;
        this.shop = shop;
        this.rights = rights;
        this.build = build;
    }

    public record SignInSaid(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(max = 200) String password) {}

    /** @param code what the program printed when it was started */
    public record FirstSaid(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 200) String password,
            @NotBlank @Size(max = 40) String code) {}

    /**
     * How this browser stands with the shop.
     *
     * @param person empty when nobody is signed in
     * @param firstVisit nobody works here yet: the next to come makes the first lead
     * @param may what the person may do here
     * @param practice whether this is a practice shop: nothing in it counts
     * @param demoPeople names shown on the sign-in page in demo mode
     * @param build which program this is: "0.1.0 of 2026-03-06 14:20"
     */
    public record SessionView(
            Optional<SignedIn> person,
            boolean firstVisit,
            boolean practice,
            List<String> demoPeople,
            Optional<String> demoPassword,
            ShopSettings shop,
            Set<Act> may,
            String build) {}

    @GetMapping
    SessionView session() {
        return snapshot.read(() -> view(Session.here().map(Session::person)));
    }

    @PostMapping
    ResponseEntity<?> signIn(
            @Valid @RequestBody SignInSaid said, HttpServletRequest request, HttpServletResponse response) {
        String from = request.getRemoteAddr();
        Optional<PersonStore.Person> named =
                snapshot.read(() -> people.find(said.name().strip()));
        Optional<SignedIn> who = named.map(PersonStore.Person::signedIn);
        boolean known =
                snapshot.read(() -> who.map(one -> store.knows(one.id(), from)).orElse(false));
        try (Guesses.Try guess = begin(from, said.name(), known, who)) {
            if (passwords.fits(said.password(), named.map(PersonStore.Person::passwordHash))) {
                guess.right();
                return ResponseEntity.ok(enter(who.orElseThrow(), request, response));
            }
        }
        door.wrote(DoorKind.WRONG, who, from, "");
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, WRONG);
        problem.setTitle("Not signed in");
        return ResponseEntity.of(problem).build();
    }

    @PostMapping("/first")
    SessionView makeFirstLead(
            @Valid @RequestBody FirstSaid said, HttpServletRequest request, HttpServletResponse response) {
        try (Guesses.Try guess = begin(request.getRemoteAddr(), "", false, Optional.empty())) {
            firstVisit.mustBe(said.code());
            guess.right();
        }
        String name = Checked.text("name", said.name(), 60);
        return enter(firstVisit.firstLead(name, passwords.kept("password", said.password(), name)), request, response);
    }

    private Guesses.Try begin(String from, String name, boolean known, Optional<SignedIn> who) {
        try {
            return guesses.begin(from, name, known);
        } catch (TooSoon e) {
            door.wrote(DoorKind.MADE_TO_WAIT, who, from, e.seconds() + " s");
            throw e;
        }
    }

    @DeleteMapping
    SessionView signOut(HttpServletRequest request, HttpServletResponse response) {
        Optional<SignedIn> was = Session.here().map(Session::person);
        signIns.end(request, response);
        was.ifPresent(who -> door.wrote(DoorKind.SIGNED_OUT, was, request.getRemoteAddr(), ""));
        return snapshot.read(() -> view(Optional.empty()));
    }

    private SessionView enter(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        signIns.begin(person, request, response);
        door.wrote(DoorKind.SIGNED_IN, Optional.of(person), request.getRemoteAddr(), "");
        return snapshot.read(() -> view(Optional.of(person)));
    }

    private SessionView view(Optional<SignedIn> person) {
        return new SessionView(
                person,
                people.isEmpty(),
                settings.practice(),
                settings.demo() ? DemoPeople.NAMES : List.of(),
                settings.demo() ? Optional.of(DemoPeople.PASSWORD) : Optional.empty(),
                shop.now(),
                person.map(one -> may(one.id())).orElse(Set.of()),
                build.words());
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
