package wrenchnotes.server.team;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/** Who works here. A lead adds people, says what they do, gives them a new password, and puts them out. */
@RestController
@RequestMapping("/api/people")
@May(Act.PEOPLE)
public class TeamApi {

    private final PersonStore people;
    private final SignInStore store;
    private final SignIns signIns;
    private final TokenStore tokens;
    private final Passwords passwords;
    private final Journal journal;
    private final Roles roles;
    private final Snapshot snapshot;

    TeamApi(
            PersonStore people,
            SignInStore store,
            SignIns signIns,
            TokenStore tokens,
            Passwords passwords,
            Journal journal,
            Roles roles,
            Snapshot snapshot) {
        this.people = people;
        this.store = store;
        this.signIns = signIns;
        this.tokens = tokens;
        this.passwords = passwords;
        this.journal = journal;
        this.roles = roles;
        this.snapshot = snapshot;
    }

    public record NewPerson(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 200) String password,
            @NotEmpty Set<@NotNull Role> roles) {}

    public record RolesSaid(@NotEmpty Set<@NotNull Role> roles) {}

    public record NewPassword(@NotNull @Size(max = 200) String password) {}

    @GetMapping
    List<SignedIn> people() {
        return snapshot.read(people::all);
    }

    /** Who was put out: what they did stays under their name. */
    @GetMapping("/gone")
    List<SignedIn> gone() {
        return snapshot.read(people::gone);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SignedIn add(@Valid @RequestBody NewPerson person, Pen pen) {
        String name = Checked.text("name", person.name(), 60);
        String hash = passwords.kept("password", person.password(), name);
        return pen.once(
                person.name() + person.roles(),
                by -> {
                    SignedIn added = people.add(by.at(), name, hash, person.roles());
                    journal.write(by, Journal.Entry.ofShop("person", added.id(), added.name() + " joins", null, added));
                    return added;
                },
                SignedIn::id,
                people::person);
    }

    /** Says what somebody does here; one lead at least stays. It holds from the next request on: their browsers stay signed in. */
    @PutMapping("/{person}/roles")
    SignedIn does(@PathVariable long person, @Valid @RequestBody RolesSaid said, Pen pen) {
        return changed(pen, said, person, (by, before) -> {
            people.does(person, said.roles());
            aLeadStays();
            SignedIn after = people.person(person);
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "person", person, after.name() + " is now " + words(after.roles()), before, after));
        });
    }

    /** For whoever lost theirs. All their browsers are signed out. */
    @PutMapping("/{person}/password")
    SignedIn password(@PathVariable long person, @Valid @RequestBody NewPassword said, Pen pen) {
        String hash = passwords.kept(
                "password",
                said.password(),
                snapshot.read(() -> people.person(person)).name());
        // Nothing of it is kept to notice a retry by: a second time does no harm.
        SignedIn whom = pen.eachTime(by -> {
            SignedIn one = people.person(person);
            people.password(person, hash);
            signOut(by, person);
            told(by, one, " gets a new password");
            return one;
        });
        signIns.changed(person);
        return whom;
    }

    /** Puts somebody out: nothing opens to them any more, and what they did stays. */
    @DeleteMapping("/{person}")
    SignedIn putOut(@PathVariable long person, Pen pen) {
        return changed(pen, "out", person, (by, before) -> {
            people.left(person, by.at());
            aLeadStays();
            signOut(by, person);
            tokens.endOf(person, by.at());
            told(by, before, " is put out");
        });
    }

    @PostMapping("/{person}/back")
    SignedIn takeBack(@PathVariable long person, Pen pen) {
        return changed(pen, "back", person, (by, before) -> {
            people.left(person, null);
            told(by, before, " works here again");
        });
    }

    private SignedIn changed(Pen pen, Object asked, long person, BiConsumer<By, SignedIn> work) {
        SignedIn now = pen.once(
                asked,
                by -> {
                    work.accept(by, people.person(person));
                    return people.person(person);
                },
                SignedIn::id,
                people::person);
        roles.changed(person);
        signIns.changed(person);
        return now;
    }

    private void told(By by, SignedIn whom, String words) {
        journal.write(by, Journal.Entry.ofShop("person", whom.id(), whom.name() + words, null, null));
    }

    private void signOut(By by, long person) {
        store.end(store.of(person), by.at());
    }

    private void aLeadStays() {
        if (people.all().stream().noneMatch(one -> one.roles().contains(Role.LEAD))) {
            throw Refused.because("Somebody has to be the lead: make another one first.");
        }
    }

    private static String words(Set<Role> roles) {
        return roles.stream().sorted().map(Role::words).collect(Collectors.joining(" and "));
    }
}
