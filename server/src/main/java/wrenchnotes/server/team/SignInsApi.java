package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.AfterCommit;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/** One's own password, and the browsers that one is signed in on; a lead sees and ends those of everybody. */
@RestController
@RequestMapping("/api/sign-ins")
@May(Act.SIGN_INS)
class SignInsApi {

    private final SignInStore store;
    private final SignIns signIns;
    private final PersonStore people;
    private final Passwords passwords;
    private final Guesses guesses;
    private final DoorStore door;
    private final Rights rights;
    private final Journal journal;
    private final Snapshot snapshot;
    private final Clock clock;

    SignInsApi(
            SignInStore store,
            SignIns signIns,
            PersonStore people,
            Passwords passwords,
            Guesses guesses,
            DoorStore door,
            Rights rights,
            Journal journal,
            Snapshot snapshot,
            Clock clock) {
        this.store = store;
        this.signIns = signIns;
        this.people = people;
        this.passwords = passwords;
        this.guesses = guesses;
        this.door = door;
        this.rights = rights;
        this.journal = journal;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /**
     * A browser that somebody is signed in on.
     *
     * @param at since when
     * @param seen when it last asked for something; left out if it did not since the program was started
     * @param address where from
     * @param here whether it is the one that asks
     */
    public record SignInOpen(
            long id, String name, boolean own, Instant at, Optional<Instant> seen, String address, boolean here) {}

    public record PasswordSaid(
            @NotBlank @Size(max = 200) String now,
            @NotNull @Size(max = 200) String next) {}

    /** One's own, newest first; for a lead those of everybody. */
    @GetMapping
    List<SignInOpen> all() {
        return snapshot.read(() -> open().map(this::shown).toList());
    }

    private Stream<SignInStore.Open> open() {
        SignedIn me = Session.current();
        boolean lead = Act.TRUST.openTo(rights.of(me.id()));
        return store.all(clock.instant().minus(SignIns.LASTS)).stream().filter(one -> lead || one.person() == me.id());
    }

    private SignInOpen shown(SignInStore.Open one) {
        return new SignInOpen(
                one.id(),
                one.name(),
                one.person() == Session.current().id(),
                one.at(),
                signIns.seen(one.id()),
                one.address(),
                one.id() == here());
    }

    private static long here() {
        return Session.here()
                .filter(SignIns.Account.class::isInstance)
                .map(session -> ((SignIns.Account) session).signIn())
                .orElse(0L);
    }

    @DeleteMapping("/{signIn}")
    List<SignInOpen> end(@PathVariable long signIn, Pen pen) {
        return ended(pen, "sign-in " + signIn, one -> one.id() == signIn);
    }

    /** Everywhere but here. */
    @DeleteMapping
    List<SignInOpen> endOthers(Pen pen) {
        long me = Session.current().id();
        long here = here();
        return ended(pen, "everywhere", one -> one.person() == me && one.id() != here);
    }

    private List<SignInOpen> ended(Pen pen, String asked, Predicate<SignInStore.Open> which) {
        pen.once(asked, by -> {
            List<SignInStore.Open> these = open().filter(which).toList();
            if (these.isEmpty() && !asked.equals("everywhere")) {
                throw new NotFound("That browser is not signed in any more");
            }
            these.forEach(one -> end(by, one));
        });
        return all();
    }

    private void end(By by, SignInStore.Open one) {
        store.end(List.of(one.id()), by.at());
        String words = one.name() + " is signed out of the browser at " + one.address();
        journal.write(by, Journal.Entry.ofShop("sign-in", one.id(), words, null, one.id()));
        AfterCommit.run(() -> signIns.ended(List.of(one.id())));
    }

    /** A new password of one's own. Every browser is signed out but this one, which gets a new sign-in. */
    @PutMapping("/password")
    List<SignInOpen> choose(
            @Valid @RequestBody PasswordSaid said, Pen pen, HttpServletRequest request, HttpServletResponse response) {
        SignedIn me = Session.current();
        String from = request.getRemoteAddr();
        String kept = snapshot.read(() -> people.withHash(me.id())).passwordHash();
        try (Guesses.Try guess = guesses.begin(from, me.name(), true)) {
            if (!passwords.fits(said.now(), Optional.of(kept))) {
                door.wrote(DoorKind.WRONG, Optional.of(me), from, "to choose another");
                throw new Invalid("now", "This is not your password now");
            }
            guess.right();
        }
        String hash = passwords.kept("next", said.next(), me.name());
        pen.eachTime(by -> {
            people.password(me.id(), hash);
            List<Long> open = store.of(me.id());
            store.end(open, by.at());
            journal.write(
                    by, Journal.Entry.ofShop("person", me.id(), me.name() + " chose another password", null, null));
            AfterCommit.run(() -> signIns.ended(open));
            return open;
        });
        signIns.begin(me, request, response);
        return all();
    }
}
