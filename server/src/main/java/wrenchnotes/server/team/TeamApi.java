package wrenchnotes.server.team;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
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
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/** Who works here. A lead adds people. */
@RestController
@RequestMapping("/api/people")
@May(Act.PEOPLE)
public class TeamApi {

    private final PersonStore people;
    private final PasswordEncoder passwords;
    private final Journal journal;
    private final Roles roles;
    private final Snapshot snapshot;

    TeamApi(PersonStore people, PasswordEncoder passwords, Journal journal, Roles roles, Snapshot snapshot) {
        this.people = people;
        this.passwords = passwords;
        this.journal = journal;
        this.roles = roles;
        this.snapshot = snapshot;
    }

    public record NewPerson(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(min = 4, max = 72) String password,
            @NotEmpty Set<@NotNull Role> roles) {}

    public record RolesSaid(@NotEmpty Set<@NotNull Role> roles) {}

    @GetMapping
    List<SignedIn> people() {
        return snapshot.read(people::all);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SignedIn add(@Valid @RequestBody NewPerson person, Pen pen) {
        String hash = passwords.encode(person.password());
        return pen.once(
                person.name() + person.roles(),
                by -> {
                    SignedIn added = people.add(by.at(), person.name().strip(), hash, person.roles());
                    journal.write(by, Journal.Entry.ofShop("person", added.id(), added.name() + " joins", null, added));
                    return added;
                },
                SignedIn::id,
                people::person);
    }

    /** Says what somebody does here; one lead at least stays. */
    @PutMapping("/{person}/roles")
    SignedIn does(@PathVariable long person, @Valid @RequestBody RolesSaid said, Pen pen) {
        SignedIn now = pen.once(
                said,
                by -> {
                    SignedIn before = people.person(person);
                    people.does(person, said.roles());
                    if (people.all().stream().noneMatch(one -> one.roles().contains(Role.LEAD))) {
                        throw Refused.because("Somebody has to be the lead: make another one first.");
                    }
                    SignedIn after = people.person(person);
                    String words = after.name() + " is now " + words(after.roles());
                    journal.write(by, Journal.Entry.ofShop("person", person, words, before, after));
                    return after;
                },
                SignedIn::id,
                people::person);
        roles.changed(person);
        return now;
    }

    private static String words(Set<Role> roles) {
        return roles.stream().sorted().map(Role::words).collect(Collectors.joining(" and "));
    }
}
